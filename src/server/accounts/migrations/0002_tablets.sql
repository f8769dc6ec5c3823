CREATE TABLE `pin` (
	`tablet_id` text NOT NULL,
	`user_id` text NOT NULL,
	`hash` text NOT NULL,
	`wrong` integer DEFAULT 0 NOT NULL,
	PRIMARY KEY(`tablet_id`, `user_id`),
	FOREIGN KEY (`tablet_id`) REFERENCES `tablet`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`user_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `tablet` (
	`id` text PRIMARY KEY NOT NULL,
	`token_hash` text NOT NULL,
	`device` text NOT NULL,
	`made_at` integer NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `tablet_token_hash_unique` ON `tablet` (`token_hash`);