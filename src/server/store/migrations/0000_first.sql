CREATE TABLE `amendments` (
	`sequence` integer PRIMARY KEY NOT NULL,
	`recorded_at` text NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `appliances` (
	`id` text PRIMARY KEY NOT NULL,
	`site_id` text NOT NULL,
	`document` text NOT NULL,
	FOREIGN KEY (`site_id`) REFERENCES `sites`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `appliances_by_site` ON `appliances` (`site_id`);--> statement-breakpoint
CREATE TABLE `cylinders` (
	`id` text PRIMARY KEY NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `duties` (
	`appliance_id` text NOT NULL,
	`number` integer NOT NULL,
	`due` text NOT NULL,
	`document` text NOT NULL,
	PRIMARY KEY(`appliance_id`, `number`),
	FOREIGN KEY (`appliance_id`) REFERENCES `appliances`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `duties_by_due` ON `duties` (`due`);--> statement-breakpoint
CREATE TABLE `entries` (
	`sequence` integer PRIMARY KEY NOT NULL,
	`id` text NOT NULL,
	`appliance_id` text,
	`supersedes` text,
	`hash` text NOT NULL,
	`previous` text NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `entries_id_unique` ON `entries` (`id`);--> statement-breakpoint
CREATE UNIQUE INDEX `entries_hash_unique` ON `entries` (`hash`);--> statement-breakpoint
CREATE UNIQUE INDEX `entries_previous_unique` ON `entries` (`previous`);--> statement-breakpoint
CREATE INDEX `entries_by_appliance` ON `entries` (`appliance_id`);--> statement-breakpoint
CREATE INDEX `entries_by_supersedes` ON `entries` (`supersedes`);--> statement-breakpoint
CREATE TABLE `people` (
	`id` text PRIMARY KEY NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `sites` (
	`id` text PRIMARY KEY NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `spaces` (
	`id` text PRIMARY KEY NOT NULL,
	`site_id` text NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `standings` (
	`appliance_id` text PRIMARY KEY NOT NULL,
	`as_of` text NOT NULL,
	`summary` text NOT NULL,
	`document` text NOT NULL,
	FOREIGN KEY (`appliance_id`) REFERENCES `appliances`(`id`) ON UPDATE no action ON DELETE no action
);
