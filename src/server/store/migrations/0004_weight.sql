CREATE TABLE `duties` (
	`appliance_id` text NOT NULL,
	`kind` text NOT NULL,
	`due` text NOT NULL,
	`site_id` text NOT NULL,
	`timezone` text NOT NULL,
	`document` text NOT NULL,
	PRIMARY KEY(`appliance_id`, `due`, `kind`)
);
--> statement-breakpoint
CREATE INDEX `duties_by_due` ON `duties` (`due`,`appliance_id`,`kind`);--> statement-breakpoint
CREATE INDEX `duties_by_site` ON `duties` (`site_id`,`due`,`appliance_id`,`kind`);--> statement-breakpoint
CREATE TABLE `duty_days` (
	`scope` text NOT NULL,
	`due` text NOT NULL,
	`duties` integer NOT NULL,
	PRIMARY KEY(`scope`, `due`)
);
--> statement-breakpoint
CREATE TABLE `leak_parts` (
	`appliance_id` text NOT NULL,
	`kind` text NOT NULL,
	`type` text NOT NULL,
	`times` integer NOT NULL,
	PRIMARY KEY(`appliance_id`, `type`)
);
--> statement-breakpoint
CREATE TABLE `leak_tallies` (
	`kind` text NOT NULL,
	`type` text NOT NULL,
	`times` integer NOT NULL,
	PRIMARY KEY(`kind`, `type`)
);
--> statement-breakpoint
CREATE TABLE `machine_tallies` (
	`kind` text NOT NULL,
	`state` integer NOT NULL,
	`unjudged` integer NOT NULL,
	`machines` integer NOT NULL,
	PRIMARY KEY(`kind`, `state`, `unjudged`)
);
--> statement-breakpoint
CREATE TABLE `standings` (
	`number` integer PRIMARY KEY NOT NULL,
	`appliance_id` text NOT NULL,
	`site_id` text NOT NULL,
	`stamp` text NOT NULL,
	`fingerprint` text NOT NULL,
	`words` text NOT NULL,
	`kind` text NOT NULL,
	`state` integer NOT NULL,
	`unjudged` integer NOT NULL,
	`by_name` text NOT NULL,
	`by_site` text NOT NULL,
	`charge` real NOT NULL,
	`room` real NOT NULL,
	`due` text NOT NULL,
	`summary` text NOT NULL,
	`leaking` text NOT NULL,
	`document` text
);
--> statement-breakpoint
CREATE UNIQUE INDEX `standings_appliance_id_unique` ON `standings` (`appliance_id`);--> statement-breakpoint
CREATE INDEX `standings_by_stamp` ON `standings` (`stamp`,`number`);--> statement-breakpoint
CREATE INDEX `standings_by_name` ON `standings` (`by_name`,`number`);--> statement-breakpoint
CREATE INDEX `standings_by_place` ON `standings` (`by_site`,`by_name`,`number`);--> statement-breakpoint
CREATE INDEX `standings_by_state` ON `standings` (`state`,`by_name`,`number`);--> statement-breakpoint
CREATE INDEX `standings_by_charge` ON `standings` (`charge`,`number`);--> statement-breakpoint
CREATE INDEX `standings_by_room` ON `standings` (`room`,`number`);--> statement-breakpoint
CREATE INDEX `standings_by_due` ON `standings` (`due`,`number`);--> statement-breakpoint
CREATE INDEX `standings_by_kind` ON `standings` (`kind`,`state`,`by_name`,`number`);--> statement-breakpoint
CREATE INDEX `standings_by_site` ON `standings` (`site_id`,`state`,`by_name`,`number`);--> statement-breakpoint
CREATE INDEX `standings_unjudged` ON `standings` (`unjudged`,`by_name`,`number`);--> statement-breakpoint
CREATE TABLE `trips` (
	`site_id` text PRIMARY KEY NOT NULL,
	`as_of` text NOT NULL,
	`late` integer NOT NULL,
	`due` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `trips_by_need` ON `trips` (`late`,`due`,`site_id`);--> statement-breakpoint
CREATE TABLE `visits` (
	`visit_id` text NOT NULL,
	`appliance_id` text NOT NULL,
	`from_day` text NOT NULL,
	`to_day` text NOT NULL,
	`entries` integer NOT NULL,
	`handed_over` integer NOT NULL,
	`by` text NOT NULL,
	`last` integer NOT NULL,
	PRIMARY KEY(`visit_id`, `appliance_id`)
);
--> statement-breakpoint
CREATE INDEX `visits_by_last` ON `visits` (`last`,`appliance_id`);--> statement-breakpoint
CREATE INDEX `visits_by_appliance` ON `visits` (`appliance_id`,`last`);--> statement-breakpoint
DROP INDEX `entries_hash_unique`;--> statement-breakpoint
DROP INDEX `entries_previous_unique`;--> statement-breakpoint
DROP INDEX `entries_by_kind`;--> statement-breakpoint
DROP INDEX `entries_by_supersedes`;--> statement-breakpoint
DROP INDEX `entries_by_visit`;--> statement-breakpoint
ALTER TABLE `entries` ADD `cylinder_id` text;--> statement-breakpoint
CREATE INDEX `entries_by_cylinder` ON `entries` (`cylinder_id`) WHERE "entries"."cylinder_id" is not null;--> statement-breakpoint
CREATE INDEX `entries_by_supersedes` ON `entries` (`supersedes`) WHERE "entries"."supersedes" is not null;--> statement-breakpoint
CREATE INDEX `entries_by_visit` ON `entries` (`visit_id`) WHERE "entries"."visit_id" is not null;--> statement-breakpoint
DROP INDEX `revisions_hash_unique`;--> statement-breakpoint
DROP INDEX `revisions_previous_unique`;--> statement-breakpoint
DROP INDEX `appliances_by_site`;--> statement-breakpoint
ALTER TABLE `appliances` ADD `name_key` text DEFAULT '' NOT NULL;--> statement-breakpoint
CREATE INDEX `appliances_by_site` ON `appliances` (`site_id`,`name_key`);--> statement-breakpoint
ALTER TABLE `cylinders` ADD `name_key` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `cylinders` ADD `refrigerant` text DEFAULT '' NOT NULL;--> statement-breakpoint
CREATE INDEX `cylinders_by_name` ON `cylinders` (`name_key`,`id`);--> statement-breakpoint
CREATE INDEX `cylinders_by_refrigerant` ON `cylinders` (`refrigerant`,`name_key`,`id`);--> statement-breakpoint
ALTER TABLE `people` ADD `name_key` text DEFAULT '' NOT NULL;--> statement-breakpoint
CREATE INDEX `people_by_name` ON `people` (`name_key`);--> statement-breakpoint
ALTER TABLE `sites` ADD `name_key` text DEFAULT '' NOT NULL;--> statement-breakpoint
CREATE INDEX `sites_by_name` ON `sites` (`name_key`,`id`);--> statement-breakpoint
CREATE INDEX `spaces_by_site` ON `spaces` (`site_id`);--> statement-breakpoint
UPDATE `entries` SET `cylinder_id` = json_extract(`document`, '$.cylinderId');--> statement-breakpoint
UPDATE `cylinders` SET `refrigerant` = json_extract(`document`, '$.refrigerant');--> statement-breakpoint
INSERT INTO `visits`
	SELECT `visit_id`, `appliance_id`, min(json_extract(`document`, '$.on')), max(json_extract(`document`, '$.on')), count(*),
		max(`document` ->> '$.kind' = 'handover' AND coalesce(`document` ->> '$.tool' = 'signed', 0)),
		(SELECT json_extract(`first`.`document`, '$.by') FROM `entries` AS `first`
			WHERE `first`.`visit_id` = `entries`.`visit_id` AND `first`.`appliance_id` = `entries`.`appliance_id`
			ORDER BY `first`.`sequence` LIMIT 1),
		max(`sequence`)
	FROM `entries`
	WHERE `visit_id` IS NOT NULL AND `appliance_id` IS NOT NULL
		AND NOT EXISTS (SELECT 1 FROM `entries` AS `later` WHERE `later`.`supersedes` = `entries`.`id`)
	GROUP BY `visit_id`, `appliance_id`;--> statement-breakpoint
CREATE VIRTUAL TABLE `machine_words` USING fts5(`words`, content='', contentless_delete=1, tokenize='unicode61 remove_diacritics 2', prefix='1 2 3');--> statement-breakpoint
CREATE TRIGGER `standings_in` AFTER INSERT ON `standings` BEGIN
	INSERT INTO `machine_words`(`rowid`, `words`) VALUES (NEW.`number`, NEW.`words`);
	INSERT INTO `machine_tallies` VALUES (NEW.`kind`, NEW.`state`, NEW.`unjudged`, 1)
		ON CONFLICT DO UPDATE SET `machines` = `machines` + 1;
END;--> statement-breakpoint
CREATE TRIGGER `standings_words` AFTER UPDATE OF `words` ON `standings` WHEN OLD.`words` IS NOT NEW.`words` BEGIN
	DELETE FROM `machine_words` WHERE `rowid` = OLD.`number`;
	INSERT INTO `machine_words`(`rowid`, `words`) VALUES (NEW.`number`, NEW.`words`);
END;--> statement-breakpoint
CREATE TRIGGER `standings_tallies` AFTER UPDATE OF `kind`, `state`, `unjudged` ON `standings`
	WHEN OLD.`kind` IS NOT NEW.`kind` OR OLD.`state` IS NOT NEW.`state` OR OLD.`unjudged` IS NOT NEW.`unjudged` BEGIN
	UPDATE `machine_tallies` SET `machines` = `machines` - 1
		WHERE `kind` = OLD.`kind` AND `state` = OLD.`state` AND `unjudged` = OLD.`unjudged`;
	INSERT INTO `machine_tallies` VALUES (NEW.`kind`, NEW.`state`, NEW.`unjudged`, 1)
		ON CONFLICT DO UPDATE SET `machines` = `machines` + 1;
END;--> statement-breakpoint
CREATE TRIGGER `duties_in` AFTER INSERT ON `duties` BEGIN
	INSERT INTO `duty_days` VALUES ('site ' || NEW.`site_id`, NEW.`due`, 1), ('zone ' || NEW.`timezone`, NEW.`due`, 1)
		ON CONFLICT DO UPDATE SET `duties` = `duties` + 1;
END;--> statement-breakpoint
CREATE TRIGGER `duties_out` AFTER DELETE ON `duties` BEGIN
	UPDATE `duty_days` SET `duties` = `duties` - 1
		WHERE `due` = OLD.`due` AND `scope` IN ('site ' || OLD.`site_id`, 'zone ' || OLD.`timezone`);
	DELETE FROM `duty_days`
		WHERE `due` = OLD.`due` AND `scope` IN ('site ' || OLD.`site_id`, 'zone ' || OLD.`timezone`) AND `duties` <= 0;
END;--> statement-breakpoint
CREATE TRIGGER `leak_parts_in` AFTER INSERT ON `leak_parts` BEGIN
	INSERT INTO `leak_tallies` VALUES (NEW.`kind`, NEW.`type`, NEW.`times`)
		ON CONFLICT DO UPDATE SET `times` = `times` + NEW.`times`;
END;--> statement-breakpoint
CREATE TRIGGER `leak_parts_out` AFTER DELETE ON `leak_parts` BEGIN
	UPDATE `leak_tallies` SET `times` = `times` - OLD.`times` WHERE `kind` = OLD.`kind` AND `type` = OLD.`type`;
END;
