CREATE TABLE `live_readings` (
	`project_id` text NOT NULL,
	`address` text NOT NULL,
	`title` text NOT NULL,
	`at` text NOT NULL,
	`widths` text NOT NULL,
	`texts` integer NOT NULL,
	`bytes` integer NOT NULL,
	`reading` text NOT NULL,
	PRIMARY KEY(`project_id`, `address`),
	FOREIGN KEY (`project_id`) REFERENCES `projects`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `live_sheets` (
	`key` text PRIMARY KEY NOT NULL,
	`project_id` text NOT NULL,
	`origins` text NOT NULL,
	`tried` integer NOT NULL,
	`started_at` text NOT NULL,
	`ended_at` text,
	`refused` integer DEFAULT 0 NOT NULL,
	`refused_from` text,
	FOREIGN KEY (`project_id`) REFERENCES `projects`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `live_sheets_by_project` ON `live_sheets` (`project_id`);--> statement-breakpoint
CREATE TABLE `visit_counts` (
	`project_id` text NOT NULL,
	`day` text NOT NULL,
	`what` text NOT NULL,
	`times` integer NOT NULL,
	PRIMARY KEY(`project_id`, `day`, `what`),
	FOREIGN KEY (`project_id`) REFERENCES `projects`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `visit_keys` (
	`key` text PRIMARY KEY NOT NULL,
	`project_id` text NOT NULL,
	FOREIGN KEY (`project_id`) REFERENCES `projects`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `visit_keys_project_id_unique` ON `visit_keys` (`project_id`);