CREATE TABLE `company` (
	`id` text PRIMARY KEY NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `owners` (
	`id` text PRIMARY KEY NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `revisions` (
	`sequence` integer PRIMARY KEY NOT NULL,
	`table_name` text NOT NULL,
	`row_id` text NOT NULL,
	`hash` text NOT NULL,
	`previous` text NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `revisions_hash_unique` ON `revisions` (`hash`);--> statement-breakpoint
CREATE UNIQUE INDEX `revisions_previous_unique` ON `revisions` (`previous`);--> statement-breakpoint
CREATE INDEX `revisions_by_row` ON `revisions` (`table_name`,`row_id`,`sequence`);