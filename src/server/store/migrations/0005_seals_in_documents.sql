ALTER TABLE `entries` DROP COLUMN `kind`;--> statement-breakpoint
ALTER TABLE `entries` DROP COLUMN `hash`;--> statement-breakpoint
ALTER TABLE `entries` DROP COLUMN `previous`;--> statement-breakpoint
ALTER TABLE `revisions` DROP COLUMN `hash`;--> statement-breakpoint
ALTER TABLE `revisions` DROP COLUMN `previous`;