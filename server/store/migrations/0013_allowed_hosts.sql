CREATE TABLE `project_hosts` (
	`project_id` text NOT NULL,
	`host` text NOT NULL,
	`allowed_at` text NOT NULL,
	`allowed_by` text NOT NULL,
	PRIMARY KEY(`project_id`, `host`),
	FOREIGN KEY (`project_id`) REFERENCES `projects`(`id`) ON UPDATE no action ON DELETE cascade
);
