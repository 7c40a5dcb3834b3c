CREATE TABLE `local_readings` (
	`project_id` text NOT NULL,
	`local` text NOT NULL,
	`variant` text NOT NULL,
	`advances` text NOT NULL,
	PRIMARY KEY(`project_id`, `local`, `variant`),
	FOREIGN KEY (`project_id`) REFERENCES `projects`(`id`) ON UPDATE no action ON DELETE cascade
);
