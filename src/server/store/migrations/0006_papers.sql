CREATE TABLE `feed_events` (
	`feed_id` text NOT NULL,
	`uid` text NOT NULL,
	`document` text NOT NULL,
	PRIMARY KEY(`feed_id`, `uid`)
);
--> statement-breakpoint
CREATE TABLE `feeds` (
	`id` text PRIMARY KEY NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `imports` (
	`sequence` integer PRIMARY KEY NOT NULL,
	`id` text NOT NULL,
	`document` text NOT NULL,
	`wrote` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `imports_id_unique` ON `imports` (`id`);--> statement-breakpoint
CREATE TABLE `issued` (
	`sequence` integer PRIMARY KEY NOT NULL,
	`id` text NOT NULL,
	`base` text NOT NULL,
	`appliance_id` text,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `issued_id_unique` ON `issued` (`id`);--> statement-breakpoint
CREATE INDEX `issued_by_base` ON `issued` (`base`,`sequence`);--> statement-breakpoint
CREATE INDEX `issued_by_appliance` ON `issued` (`appliance_id`,`sequence`);--> statement-breakpoint
CREATE TABLE `mappings` (
	`id` text PRIMARY KEY NOT NULL,
	`document` text NOT NULL
);
