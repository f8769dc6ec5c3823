CREATE TABLE `instruments` (
	`id` text PRIMARY KEY NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
ALTER TABLE `entries` ADD `kind` text;--> statement-breakpoint
ALTER TABLE `entries` ADD `visit_id` text;--> statement-breakpoint
CREATE INDEX `entries_by_visit` ON `entries` (`visit_id`);--> statement-breakpoint
CREATE INDEX `entries_by_kind` ON `entries` (`kind`);--> statement-breakpoint
UPDATE `entries` SET `kind` = json_extract(`document`, '$.kind'), `visit_id` = json_extract(`document`, '$.visitId');
