CREATE TABLE `changes` (
	`project_id` text NOT NULL,
	`revision` integer NOT NULL,
	`kind` text NOT NULL,
	`label` text NOT NULL,
	`patch` text NOT NULL,
	`inverse` text NOT NULL,
	`below` integer,
	`next_redo` integer,
	`at` text NOT NULL,
	PRIMARY KEY(`project_id`, `revision`),
	FOREIGN KEY (`project_id`) REFERENCES `projects`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `font_files` (
	`sha256` text PRIMARY KEY NOT NULL,
	`bytes` blob NOT NULL,
	`woff2` blob,
	`reading` text NOT NULL,
	`licence` text
);
--> statement-breakpoint
CREATE TABLE `pages` (
	`project_id` text NOT NULL,
	`slug` text NOT NULL,
	`title` text NOT NULL,
	`html` text NOT NULL,
	`css` text NOT NULL,
	`position` integer NOT NULL,
	PRIMARY KEY(`project_id`, `slug`),
	FOREIGN KEY (`project_id`) REFERENCES `projects`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `pages_in_order` ON `pages` (`project_id`,`position`);--> statement-breakpoint
CREATE TABLE `project_fonts` (
	`project_id` text NOT NULL,
	`sha256` text NOT NULL,
	PRIMARY KEY(`project_id`, `sha256`),
	FOREIGN KEY (`project_id`) REFERENCES `projects`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`sha256`) REFERENCES `font_files`(`sha256`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `projects` (
	`id` text PRIMARY KEY NOT NULL,
	`slug` text NOT NULL,
	`revision` integer NOT NULL,
	`document` text NOT NULL,
	`undo_top` integer,
	`redo_top` integer,
	`foundry_allowed_at` text,
	`foundry_allowed_by` text,
	`created_at` text NOT NULL,
	`updated_at` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `projects_slug_unique` ON `projects` (`slug`);--> statement-breakpoint
CREATE TABLE `supply_cache` (
	`url` text PRIMARY KEY NOT NULL,
	`etag` text,
	`body` blob NOT NULL,
	`fetched_at` text NOT NULL
);
