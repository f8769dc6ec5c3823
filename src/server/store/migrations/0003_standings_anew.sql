DROP TABLE `duties`;--> statement-breakpoint
DROP TABLE `standings`;