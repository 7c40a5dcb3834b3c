CREATE TABLE `tunings` (
	`key` text PRIMARY KEY NOT NULL,
	`face` text
);
