CREATE TABLE `kept_states` (
	`project_id` text NOT NULL,
	`revision` integer NOT NULL,
	`document` text NOT NULL,
	PRIMARY KEY(`project_id`, `revision`),
	FOREIGN KEY (`project_id`) REFERENCES `projects`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `leases` (
	`key` text PRIMARY KEY NOT NULL,
	`holder` text NOT NULL,
	`until` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `outbox` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`origin` text NOT NULL,
	`project` text,
	`kind` text NOT NULL,
	`data` text NOT NULL,
	`at` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `outbox_by_age` ON `outbox` (`at`);--> statement-breakpoint
CREATE TABLE `tries` (
	`key` text PRIMARY KEY NOT NULL,
	`hits` integer NOT NULL,
	`resets_at` integer NOT NULL
);
