CREATE TABLE `api_token` (
	`id` text PRIMARY KEY NOT NULL,
	`token_hash` text NOT NULL,
	`person_id` text NOT NULL,
	`name` text NOT NULL,
	`scope` text NOT NULL,
	`site_id` text,
	`made_by` text NOT NULL,
	`made_at` integer NOT NULL,
	`expires_at` integer NOT NULL,
	`last_used` integer,
	`withdrawn_at` integer
);
--> statement-breakpoint
CREATE UNIQUE INDEX `api_token_token_hash_unique` ON `api_token` (`token_hash`);--> statement-breakpoint
CREATE TABLE `delivery` (
	`id` text PRIMARY KEY NOT NULL,
	`webhook_id` text NOT NULL,
	`about` text NOT NULL,
	`body` text NOT NULL,
	`made_at` integer NOT NULL,
	`sent_at` integer,
	`tries` integer DEFAULT 0 NOT NULL,
	`next_try` integer,
	`fault` text,
	FOREIGN KEY (`webhook_id`) REFERENCES `webhook`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `delivery_by_hook` ON `delivery` (`webhook_id`,`made_at`);--> statement-breakpoint
CREATE INDEX `delivery_by_try` ON `delivery` (`next_try`);--> statement-breakpoint
CREATE TABLE `told_hook` (
	`webhook_id` text NOT NULL,
	`event` text NOT NULL,
	`duty` text NOT NULL,
	`due` text NOT NULL,
	PRIMARY KEY(`webhook_id`, `event`, `duty`, `due`),
	FOREIGN KEY (`webhook_id`) REFERENCES `webhook`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `webhook` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`url` text NOT NULL,
	`secret` text NOT NULL,
	`made_by` text NOT NULL,
	`made_at` integer NOT NULL,
	`withdrawn_at` integer
);
