CREATE TABLE `site_files` (
	`project_id` text NOT NULL,
	`site` text NOT NULL,
	`path` text NOT NULL,
	`type` text NOT NULL,
	`bytes` blob NOT NULL,
	PRIMARY KEY(`project_id`, `site`, `path`),
	FOREIGN KEY (`project_id`) REFERENCES `projects`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `site_pages` (
	`project_id` text NOT NULL,
	`site` text NOT NULL,
	`path` text NOT NULL,
	`title` text NOT NULL,
	`html` text NOT NULL,
	`sheets` text NOT NULL,
	`removed` text NOT NULL,
	`notes` text NOT NULL,
	PRIMARY KEY(`project_id`, `site`, `path`),
	FOREIGN KEY (`project_id`) REFERENCES `projects`(`id`) ON UPDATE no action ON DELETE cascade
);
