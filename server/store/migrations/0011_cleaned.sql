ALTER TABLE `pages` ADD `cleaned` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `site_pages` ADD `cleaned` integer DEFAULT 0 NOT NULL;