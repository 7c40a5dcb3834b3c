CREATE TABLE `waypoints` (
	`id` text PRIMARY KEY NOT NULL,
	`project_id` text NOT NULL,
	`name` text NOT NULL,
	`revision` integer NOT NULL,
	`document` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`project_id`) REFERENCES `projects`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `waypoints_of_project` ON `waypoints` (`project_id`,`at`);