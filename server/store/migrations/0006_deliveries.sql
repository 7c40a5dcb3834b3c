CREATE TABLE `deliveries` (
	`project_id` text NOT NULL,
	`revision` integer NOT NULL,
	`at` text NOT NULL,
	PRIMARY KEY(`project_id`, `revision`),
	FOREIGN KEY (`project_id`) REFERENCES `projects`(`id`) ON UPDATE no action ON DELETE cascade
);
