CREATE TABLE `served` (
	`by` text NOT NULL,
	`appliance_id` text NOT NULL,
	`last_day` text NOT NULL,
	PRIMARY KEY(`by`, `appliance_id`)
);
--> statement-breakpoint
INSERT INTO `served`
	SELECT `document` ->> '$.by', `appliance_id`, max(`document` ->> '$.on') FROM `entries`
	WHERE `appliance_id` IS NOT NULL AND `document` ->> '$.kind' <> 'void'
	GROUP BY 1, 2;--> statement-breakpoint
CREATE TRIGGER `served_in` AFTER INSERT ON `entries`
	WHEN NEW.`appliance_id` IS NOT NULL AND NEW.`document` ->> '$.kind' <> 'void' BEGIN
	INSERT INTO `served` VALUES (NEW.`document` ->> '$.by', NEW.`appliance_id`, NEW.`document` ->> '$.on')
		ON CONFLICT DO UPDATE SET `last_day` = max(`last_day`, excluded.`last_day`);
END;
