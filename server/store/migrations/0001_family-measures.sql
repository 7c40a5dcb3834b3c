CREATE TABLE `family_measures` (
	`key` text PRIMARY KEY NOT NULL,
	`measures` text NOT NULL,
	`sheet` text NOT NULL
);
