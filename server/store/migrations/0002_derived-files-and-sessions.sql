CREATE TABLE `derived_files` (
	`source` text NOT NULL,
	`cut` text NOT NULL,
	`bytes` blob NOT NULL,
	`size` integer NOT NULL,
	PRIMARY KEY(`source`, `cut`),
	FOREIGN KEY (`source`) REFERENCES `font_files`(`sha256`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `sessions` (
	`hash` text PRIMARY KEY NOT NULL,
	`token` text NOT NULL,
	`expires_at` integer NOT NULL
);
--> statement-breakpoint
INSERT INTO `derived_files` SELECT `sha256`, 'woff2', `woff2`, length(`woff2`) FROM `font_files` WHERE `woff2` IS NOT NULL;
--> statement-breakpoint
ALTER TABLE `font_files` DROP COLUMN `woff2`;