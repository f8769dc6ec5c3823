CREATE TRIGGER `standings_out` AFTER DELETE ON `standings` BEGIN
	DELETE FROM `machine_words` WHERE `rowid` = OLD.`number`;
	UPDATE `machine_tallies` SET `machines` = `machines` - 1
		WHERE `kind` = OLD.`kind` AND `state` = OLD.`state` AND `unjudged` = OLD.`unjudged`;
END;--> statement-breakpoint
DELETE FROM `machine_words` WHERE `rowid` NOT IN (SELECT `number` FROM `standings`);--> statement-breakpoint
DELETE FROM `machine_tallies`;--> statement-breakpoint
INSERT INTO `machine_tallies` SELECT `kind`, `state`, `unjudged`, count(*) FROM `standings` GROUP BY `kind`, `state`, `unjudged`;
