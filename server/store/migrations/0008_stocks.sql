CREATE TABLE `stocks` (
	`project_id` text PRIMARY KEY NOT NULL,
	`made` text NOT NULL,
	`pages` text NOT NULL,
	FOREIGN KEY (`project_id`) REFERENCES `projects`(`id`) ON UPDATE no action ON DELETE cascade
);
