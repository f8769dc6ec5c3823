CREATE TABLE `digest_sent` (
	`user_id` text PRIMARY KEY NOT NULL,
	`on_day` text NOT NULL,
	FOREIGN KEY (`user_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `mail` (
	`id` text PRIMARY KEY NOT NULL,
	`to_address` text NOT NULL,
	`name` text NOT NULL,
	`about` text NOT NULL,
	`subject` text NOT NULL,
	`body` text NOT NULL,
	`unsubscribe` text,
	`made_at` integer NOT NULL,
	`sent_at` integer,
	`tries` integer DEFAULT 0 NOT NULL,
	`next_try` integer,
	`fault` text
);
--> statement-breakpoint
CREATE INDEX `mail_by_made` ON `mail` (`made_at`,`id`);--> statement-breakpoint
CREATE INDEX `mail_by_try` ON `mail` (`next_try`);--> statement-breakpoint
CREATE TABLE `notice_times` (
	`user_id` text PRIMARY KEY NOT NULL,
	`digest` text NOT NULL,
	`hour` integer NOT NULL,
	`quiet_from` integer NOT NULL,
	`quiet_to` integer NOT NULL,
	`timezone` text NOT NULL,
	FOREIGN KEY (`user_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `told_passed` (
	`user_id` text NOT NULL,
	`duty` text NOT NULL,
	`due` text NOT NULL,
	PRIMARY KEY(`user_id`, `duty`, `due`),
	FOREIGN KEY (`user_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade
);
