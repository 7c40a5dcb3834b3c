CREATE TABLE `looked_sites` (
	`project_id` text NOT NULL,
	`site` text NOT NULL,
	`at` text NOT NULL,
	PRIMARY KEY(`project_id`, `site`),
	FOREIGN KEY (`project_id`) REFERENCES `projects`(`id`) ON UPDATE no action ON DELETE cascade
);
