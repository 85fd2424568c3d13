/*M!999999\- enable the sandbox mode */ 
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `angler` (
  `id` uuid NOT NULL,
  `name` varchar(60) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci NOT NULL,
  `password_hash` varchar(200) NOT NULL,
  `created_at` datetime(3) NOT NULL DEFAULT current_timestamp(3),
  `secret` varbinary(32) DEFAULT NULL,
  `ground` int(11) NOT NULL DEFAULT 1,
  `settings` longtext DEFAULT NULL CHECK (`settings` is null or json_valid(`settings`)),
  `log` int(11) NOT NULL DEFAULT 1,
  PRIMARY KEY (`id`),
  UNIQUE KEY `name` (`name`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `angler` VALUES
('018f0000-0000-7000-8000-000000000001','heron','x','2026-01-02 03:04:05.678',NULL,1,NULL,1);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `catch` (
  `id` uuid NOT NULL,
  `angler_id` uuid NOT NULL,
  `spell_id` uuid NOT NULL,
  `target` varchar(40) NOT NULL,
  `caught_at` datetime(3) NOT NULL,
  `length_m` double DEFAULT NULL CHECK (`length_m` > 0 and `length_m` < 4),
  `mass_kg` double DEFAULT NULL CHECK (`mass_kg` > 0 and `mass_kg` < 500),
  `kept` tinyint(1) NOT NULL DEFAULT 0,
  `note` varchar(1000) NOT NULL DEFAULT '',
  `revision` int(11) NOT NULL,
  `told` int(11) NOT NULL DEFAULT 0,
  `who` varchar(60) NOT NULL DEFAULT '',
  `rod` varchar(40) NOT NULL DEFAULT '',
  `girth_m` double DEFAULT NULL CHECK (`girth_m` > 0 and `girth_m` < 4),
  `measured` varchar(10) NOT NULL DEFAULT '',
  `hook_place` varchar(20) NOT NULL DEFAULT '',
  `hook` varchar(10) NOT NULL DEFAULT '',
  `tag_number` varchar(40) NOT NULL DEFAULT '',
  `tag_side` varchar(10) NOT NULL DEFAULT '',
  `tag_programme` varchar(80) NOT NULL DEFAULT '',
  `species` varchar(80) NOT NULL DEFAULT '',
  PRIMARY KEY (`id`),
  KEY `catch_spell` (`spell_id`),
  KEY `angler_id` (`angler_id`),
  KEY `catch_tag` (`angler_id`,`tag_number`),
  CONSTRAINT `catch_ibfk_1` FOREIGN KEY (`angler_id`) REFERENCES `angler` (`id`) ON DELETE CASCADE,
  CONSTRAINT `catch_ibfk_2` FOREIGN KEY (`spell_id`) REFERENCES `spell` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `catch` VALUES
('018f0000-0000-7000-8000-000000000007','018f0000-0000-7000-8000-000000000001','018f0000-0000-7000-8000-000000000006','red-drum','2026-01-03 06:40:00.000',0.62,2.9,0,'clean',1,0,'','',0.31,'board','corner','lure','A 12','left','Invented','');
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `feed` (
  `water_id` uuid NOT NULL,
  `url` varchar(400) NOT NULL,
  `tried_at` datetime(3) DEFAULT NULL,
  `fetched_at` datetime(3) DEFAULT NULL,
  `issued_at` datetime(3) DEFAULT NULL,
  `problem` varchar(400) NOT NULL DEFAULT '',
  PRIMARY KEY (`water_id`),
  CONSTRAINT `feed_ibfk_1` FOREIGN KEY (`water_id`) REFERENCES `water` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `feed` VALUES
('018f0000-0000-7000-8000-000000000003','http://127.0.0.1:1/','2026-01-03 05:00:00.000',NULL,NULL,'no answer');
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `going_limit` (
  `angler_id` uuid NOT NULL,
  `limit_id` varchar(40) NOT NULL,
  `think` double DEFAULT NULL CHECK (`think` >= 0),
  `do_not` double DEFAULT NULL CHECK (`do_not` >= 0),
  PRIMARY KEY (`angler_id`,`limit_id`),
  CONSTRAINT `going_limit_ibfk_1` FOREIGN KEY (`angler_id`) REFERENCES `angler` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_uca1400_ai_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `going_limit` VALUES
('018f0000-0000-7000-8000-000000000001','kayak_wind_ms',6.5,NULL);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `goose_db_version` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `version_id` bigint(20) NOT NULL,
  `is_applied` tinyint(1) NOT NULL,
  `tstamp` datetime DEFAULT current_timestamp(),
  PRIMARY KEY (`id`)
) ENGINE=InnoDB AUTO_INCREMENT=17 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_uca1400_ai_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `goose_db_version` VALUES
(1,0,1,'2026-11-27 23:03:00'),
(2,1,1,'2026-11-27 23:03:00'),
(3,2,1,'2026-11-27 23:03:00'),
(4,3,1,'2026-11-27 23:03:00'),
(5,4,1,'2026-11-27 23:03:00'),
(6,5,1,'2026-11-27 23:03:00'),
(7,6,1,'2026-11-27 23:03:00'),
(8,7,1,'2026-11-27 23:03:01'),
(9,8,1,'2026-11-27 23:03:01'),
(10,9,1,'2026-11-28 06:56:48'),
(11,10,1,'2026-11-28 08:59:04'),
(12,11,1,'2026-11-28 15:57:46'),
(13,12,1,'2026-11-28 22:00:45'),
(14,13,1,'2026-11-29 08:23:17'),
(15,14,1,'2026-11-29 11:22:00'),
(16,15,1,'2026-11-29 15:09:22');
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `grid` (
  `water_id` uuid NOT NULL,
  `south_deg` double NOT NULL,
  `west_deg` double NOT NULL,
  `dlat_deg` double NOT NULL CHECK (`dlat_deg` > 0),
  `dlon_deg` double NOT NULL CHECK (`dlon_deg` > 0),
  `row_count` int(11) NOT NULL CHECK (`row_count` > 1),
  `col_count` int(11) NOT NULL CHECK (`col_count` > 1),
  `source` varchar(200) NOT NULL,
  `cells` longblob NOT NULL,
  PRIMARY KEY (`water_id`),
  CONSTRAINT `grid_ibfk_1` FOREIGN KEY (`water_id`) REFERENCES `water` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `grid` VALUES
('018f0000-0000-7000-8000-000000000003',31.1,-45.2,0.1,0.1,2,2,'invented',0x789C010000FFFF00000001);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `invite` (
  `id` uuid NOT NULL,
  `angler_id` uuid DEFAULT NULL,
  `digest` binary(32) NOT NULL,
  `note` varchar(120) NOT NULL DEFAULT '',
  `uses_left` int(11) NOT NULL CHECK (`uses_left` >= 0),
  `expires_at` datetime(3) NOT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `digest` (`digest`),
  KEY `angler_id` (`angler_id`),
  CONSTRAINT `invite_ibfk_1` FOREIGN KEY (`angler_id`) REFERENCES `angler` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `invite` VALUES
('018f0000-0000-7000-8000-0000000000b2','018f0000-0000-7000-8000-000000000001',0xCDCDCDCDCDCDCDCDCDCDCDCDCDCDCDCDCDCDCDCDCDCDCDCDCDCDCDCDCDCDCDCD,'for a friend',1,'2026-12-01 00:00:00.000');
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `kit_item` (
  `id` uuid NOT NULL,
  `angler_id` uuid NOT NULL,
  `revision` int(11) NOT NULL DEFAULT 1,
  `kind` varchar(20) NOT NULL,
  `name` varchar(80) NOT NULL,
  `offering` varchar(80) NOT NULL DEFAULT '',
  `length_m` double NOT NULL DEFAULT 0 CHECK (`length_m` >= 0),
  `weight_kg` double NOT NULL DEFAULT 0 CHECK (`weight_kg` >= 0),
  `rated_kg` double NOT NULL DEFAULT 0 CHECK (`rated_kg` >= 0),
  `ratio` double NOT NULL DEFAULT 0 CHECK (`ratio` >= 0),
  `spool_m` double NOT NULL DEFAULT 0 CHECK (`spool_m` >= 0),
  `turn_m` double NOT NULL DEFAULT 0 CHECK (`turn_m` >= 0),
  `diameter_m` double NOT NULL DEFAULT 0 CHECK (`diameter_m` >= 0),
  `break_n` double NOT NULL DEFAULT 0 CHECK (`break_n` >= 0),
  `material` varchar(20) NOT NULL DEFAULT '',
  `size` varchar(20) NOT NULL DEFAULT '',
  `pattern` varchar(20) NOT NULL DEFAULT '',
  `rated_m` double NOT NULL DEFAULT 0 CHECK (`rated_m` >= 0),
  `fall_ms` double NOT NULL DEFAULT 0 CHECK (`fall_ms` >= 0),
  `finish` varchar(20) NOT NULL DEFAULT '',
  `snag_proof` tinyint(1) NOT NULL DEFAULT 0,
  `in_hand` tinyint(1) NOT NULL DEFAULT 1,
  `count` int(11) NOT NULL DEFAULT 0 CHECK (`count` >= 0),
  PRIMARY KEY (`id`),
  KEY `kit_angler` (`angler_id`,`kind`,`name`),
  CONSTRAINT `kit_item_ibfk_1` FOREIGN KEY (`angler_id`) REFERENCES `angler` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `kit_item` VALUES
('018f0000-0000-7000-8000-00000000000b','018f0000-0000-7000-8000-000000000001',1,'rod','the long one','',3,0.3,0,0,0,0,0,0,'','','',0,0,'',0,1,0);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `log_import` (
  `id` uuid NOT NULL,
  `angler_id` uuid NOT NULL,
  `made_at` datetime(3) NOT NULL,
  `name` varchar(120) NOT NULL,
  PRIMARY KEY (`id`),
  KEY `import_of` (`angler_id`,`made_at`),
  CONSTRAINT `log_import_ibfk_1` FOREIGN KEY (`angler_id`) REFERENCES `angler` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `log_import` VALUES
('018f0000-0000-7000-8000-0000000000e1','018f0000-0000-7000-8000-000000000001','2026-01-02 03:04:05.006','old log.csv');
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `mark` (
  `id` uuid NOT NULL,
  `spot_id` uuid NOT NULL,
  `name` varchar(60) NOT NULL,
  `kind` varchar(20) NOT NULL,
  `distance_m` double NOT NULL,
  `elevation_m` double NOT NULL,
  `bottom` varchar(20) NOT NULL DEFAULT '',
  `fishable_min_m` double NOT NULL,
  `fishable_max_m` double DEFAULT NULL,
  `line` varchar(40) NOT NULL DEFAULT '',
  `lat_deg` double DEFAULT NULL,
  `lon_deg` double DEFAULT NULL,
  `note` varchar(400) NOT NULL DEFAULT '',
  `snag` tinyint(1) NOT NULL DEFAULT 0,
  PRIMARY KEY (`id`),
  KEY `spot_id` (`spot_id`),
  CONSTRAINT `mark_ibfk_1` FOREIGN KEY (`spot_id`) REFERENCES `spot` (`id`) ON DELETE CASCADE,
  CONSTRAINT `CONSTRAINT_1` CHECK (`fishable_max_m` is null or `fishable_max_m` > `fishable_min_m`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `mark` VALUES
('018f0000-0000-7000-8000-000000000005','018f0000-0000-7000-8000-000000000004','drop','edge',40,-0.5,'shell',0.4,2,'Rib edge',NULL,NULL,'',0);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `noted_turn` (
  `id` uuid NOT NULL,
  `spot_id` uuid NOT NULL,
  `time` datetime(3) NOT NULL,
  `kind` varchar(4) NOT NULL CHECK (`kind` in ('high','low')),
  `height_m` double DEFAULT NULL,
  PRIMARY KEY (`id`),
  KEY `spot_id` (`spot_id`),
  CONSTRAINT `noted_turn_ibfk_1` FOREIGN KEY (`spot_id`) REFERENCES `spot` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `noted_turn` VALUES
('018f0000-0000-7000-8000-000000000009','018f0000-0000-7000-8000-000000000004','2026-01-03 08:00:00.000','high',2.1);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `outing` (
  `id` uuid NOT NULL,
  `angler_id` uuid NOT NULL,
  `began_at` datetime(3) NOT NULL,
  `ended_at` datetime(3) DEFAULT NULL,
  `note` varchar(1000) NOT NULL DEFAULT '',
  `tell` varchar(400) NOT NULL DEFAULT '',
  `call_at` datetime(3) DEFAULT NULL,
  `plan_id` uuid DEFAULT NULL,
  `revision` int(11) NOT NULL,
  PRIMARY KEY (`id`),
  KEY `outing_of` (`angler_id`,`began_at`),
  CONSTRAINT `outing_ibfk_1` FOREIGN KEY (`angler_id`) REFERENCES `angler` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `outing` VALUES
('018f0000-0000-7000-8000-0000000000d1','018f0000-0000-7000-8000-000000000001','2026-01-02 03:04:05.678','2026-01-02 06:04:05.678','calm','the heron',NULL,NULL,1);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `outline` (
  `water_id` uuid NOT NULL,
  `rings` longtext NOT NULL CHECK (json_valid(`rings`)),
  PRIMARY KEY (`water_id`),
  CONSTRAINT `outline_ibfk_1` FOREIGN KEY (`water_id`) REFERENCES `water` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `outline` VALUES
('018f0000-0000-7000-8000-000000000003','[[[-45.2,31.1],[-45.0,31.1],[-45.0,31.3],[-45.2,31.1]]]');
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `own_entry` (
  `angler_id` uuid NOT NULL,
  `kind` varchar(10) NOT NULL CHECK (`kind` in ('target','rule')),
  `id` varchar(80) NOT NULL,
  `source` text NOT NULL,
  PRIMARY KEY (`angler_id`,`kind`,`id`),
  CONSTRAINT `own_entry_ibfk_1` FOREIGN KEY (`angler_id`) REFERENCES `angler` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `own_entry` VALUES
('018f0000-0000-7000-8000-000000000001','rule','mine','rules: []');
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `photo` (
  `id` uuid NOT NULL,
  `angler_id` uuid NOT NULL,
  `catch_id` uuid NOT NULL,
  `made_at` datetime(3) NOT NULL,
  `taken_at` datetime(3) DEFAULT NULL,
  `lat_deg` double DEFAULT NULL CHECK (`lat_deg` between -90 and 90),
  `lon_deg` double DEFAULT NULL CHECK (`lon_deg` between -180 and 180),
  `heading_deg` double DEFAULT NULL CHECK (`heading_deg` >= 0 and `heading_deg` < 360),
  `width` int(11) NOT NULL CHECK (`width` > 0),
  `height` int(11) NOT NULL CHECK (`height` > 0),
  `image` longblob NOT NULL CHECK (octet_length(`image`) <= 400000),
  `thumb` longblob NOT NULL CHECK (octet_length(`thumb`) <= 24000),
  PRIMARY KEY (`id`),
  KEY `photo_of` (`angler_id`,`catch_id`),
  CONSTRAINT `photo_ibfk_1` FOREIGN KEY (`angler_id`) REFERENCES `angler` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `photo` VALUES
('018f0000-0000-7000-8000-0000000000e2','018f0000-0000-7000-8000-000000000001','018f0000-0000-7000-8000-000000000007','2026-01-02 03:04:05.006','2026-01-02 03:00:00.000',31.2,-45.1,270,4,3,0xFFD8FF,0x78);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `plan` (
  `id` uuid NOT NULL,
  `angler_id` uuid NOT NULL,
  `name` varchar(80) NOT NULL,
  `begins` datetime(3) NOT NULL,
  `ends` datetime(3) NOT NULL,
  `asked` longtext NOT NULL CHECK (json_valid(`asked`)),
  `stays` longtext NOT NULL CHECK (json_valid(`stays`)),
  `tell` varchar(400) NOT NULL DEFAULT '',
  `revision` int(11) NOT NULL,
  PRIMARY KEY (`id`),
  KEY `plan_of` (`angler_id`,`begins`),
  CONSTRAINT `plan_ibfk_1` FOREIGN KEY (`angler_id`) REFERENCES `angler` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `plan` VALUES
('018f0000-0000-7000-8000-0000000000aa','018f0000-0000-7000-8000-000000000001','Saturday','2026-05-02 05:00:00.000','2026-05-02 12:00:00.000','{}','[]','',1);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `reading` (
  `water_id` uuid NOT NULL,
  `kind` varchar(30) NOT NULL,
  `time` datetime(3) NOT NULL,
  `origin` varchar(12) NOT NULL CHECK (`origin` in ('observed','forecast','predicted','assumed')),
  `value` double NOT NULL,
  `source` varchar(120) NOT NULL,
  `place` varchar(80) NOT NULL DEFAULT '',
  `spread` double NOT NULL DEFAULT 0 CHECK (`spread` >= 0),
  `own` tinyint(1) NOT NULL DEFAULT 0,
  PRIMARY KEY (`water_id`,`kind`,`time`,`origin`,`own`),
  KEY `reading_time` (`water_id`,`time`),
  CONSTRAINT `reading_ibfk_1` FOREIGN KEY (`water_id`) REFERENCES `water` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `reading` VALUES
('018f0000-0000-7000-8000-000000000003','water_temp_c','2026-01-03 06:00:00.000','observed',15.25,'the angler','',0,0),
('018f0000-0000-7000-8000-000000000003','wind_speed_ms','2026-01-03 06:00:00.000','forecast',4.5,'service','',0,0),
('018f0000-0000-7000-8000-000000000003','wind_speed_ms','2026-01-03 06:00:00.000','forecast',7,'the angler','Rib',1.5,1);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `recovery_code` (
  `angler_id` uuid NOT NULL,
  `digest` binary(32) NOT NULL,
  PRIMARY KEY (`angler_id`,`digest`),
  CONSTRAINT `recovery_code_ibfk_1` FOREIGN KEY (`angler_id`) REFERENCES `angler` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `recovery_code` VALUES
('018f0000-0000-7000-8000-000000000001',0xABABABABABABABABABABABABABABABABABABABABABABABABABABABABABABABAB);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `rule_change` (
  `angler_id` uuid NOT NULL,
  `rule_id` varchar(80) NOT NULL,
  `off` tinyint(1) NOT NULL DEFAULT 0,
  `effect` varchar(20) NOT NULL DEFAULT '',
  `certainty` varchar(20) NOT NULL DEFAULT '',
  PRIMARY KEY (`angler_id`,`rule_id`),
  CONSTRAINT `rule_change_ibfk_1` FOREIGN KEY (`angler_id`) REFERENCES `angler` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `rule_change` VALUES
('018f0000-0000-7000-8000-000000000001','dark-at-noon',1,'','');
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `school_choice` (
  `angler_id` uuid NOT NULL,
  `school_id` varchar(20) NOT NULL,
  `position` varchar(40) NOT NULL,
  PRIMARY KEY (`angler_id`,`school_id`),
  CONSTRAINT `school_choice_ibfk_1` FOREIGN KEY (`angler_id`) REFERENCES `angler` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `school_choice` VALUES
('018f0000-0000-7000-8000-000000000001','moon','none');
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `section_point` (
  `spot_id` uuid NOT NULL,
  `distance_m` double NOT NULL,
  `elevation_m` double NOT NULL,
  PRIMARY KEY (`spot_id`,`distance_m`),
  CONSTRAINT `section_point_ibfk_1` FOREIGN KEY (`spot_id`) REFERENCES `spot` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `section_point` VALUES
('018f0000-0000-7000-8000-000000000004',0,2),
('018f0000-0000-7000-8000-000000000004',30,0.2),
('018f0000-0000-7000-8000-000000000004',60,-1.5);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `sessions` (
  `token` char(64) NOT NULL,
  `data` blob NOT NULL,
  `expiry` datetime(6) NOT NULL,
  `id` uuid NOT NULL,
  `angler_id` uuid NOT NULL,
  `started_at` datetime(3) NOT NULL,
  `seen_at` datetime(3) NOT NULL,
  `device` varchar(120) NOT NULL DEFAULT '',
  PRIMARY KEY (`token`),
  UNIQUE KEY `sessions_id` (`id`),
  KEY `sessions_expiry` (`expiry`),
  KEY `sessions_angler` (`angler_id`),
  CONSTRAINT `sessions_angler` FOREIGN KEY (`angler_id`) REFERENCES `angler` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `sessions` VALUES
('t',0x64,'2026-12-01 00:00:00.000000','018f0000-0000-7000-8000-0000000000b1','018f0000-0000-7000-8000-000000000001','2026-11-01 00:00:00.000','2026-11-01 00:00:00.000','an invented device');
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `sighting` (
  `id` uuid NOT NULL,
  `angler_id` uuid NOT NULL,
  `spot_id` uuid NOT NULL,
  `seen_at` datetime(3) NOT NULL,
  `target` varchar(80) NOT NULL DEFAULT '',
  `mark` varchar(60) NOT NULL DEFAULT '',
  `signs` longtext NOT NULL CHECK (json_valid(`signs`)),
  `note` varchar(1000) NOT NULL DEFAULT '',
  `tide_level_m` double NOT NULL,
  `tide_direction` varchar(10) NOT NULL,
  `tide_third` int(11) NOT NULL,
  `tide_says` varchar(80) NOT NULL,
  `light` varchar(40) NOT NULL,
  `revision` int(11) NOT NULL,
  PRIMARY KEY (`id`),
  KEY `sighting_of` (`angler_id`,`seen_at`),
  KEY `spot_id` (`spot_id`),
  CONSTRAINT `sighting_ibfk_1` FOREIGN KEY (`angler_id`) REFERENCES `angler` (`id`) ON DELETE CASCADE,
  CONSTRAINT `sighting_ibfk_2` FOREIGN KEY (`spot_id`) REFERENCES `spot` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `sighting` VALUES
('018f0000-0000-7000-8000-0000000000e3','018f0000-0000-7000-8000-000000000001','018f0000-0000-7000-8000-000000000004','2026-01-02 03:04:05.000','red-drum','Edge','[\"birds\"]','far out',0.4,'ebb',2,'second third of the ebb','dusk',1);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `spell` (
  `id` uuid NOT NULL,
  `angler_id` uuid NOT NULL,
  `spot_id` uuid NOT NULL,
  `target` varchar(40) NOT NULL,
  `started_at` datetime(3) NOT NULL,
  `ended_at` datetime(3) NOT NULL,
  `rods` int(11) NOT NULL DEFAULT 1 CHECK (`rods` between 1 and 12),
  `mark` varchar(60) NOT NULL DEFAULT '',
  `approach` varchar(20) NOT NULL DEFAULT '',
  `offering` varchar(80) NOT NULL DEFAULT '',
  `note` varchar(1000) NOT NULL DEFAULT '',
  `revision` int(11) NOT NULL,
  `tide_level_m` double NOT NULL,
  `tide_direction` varchar(5) NOT NULL CHECK (`tide_direction` in ('flood','ebb')),
  `tide_third` int(11) NOT NULL CHECK (`tide_third` between 1 and 3),
  `tide_rate_m_per_h` double NOT NULL,
  `sun_altitude_deg` double NOT NULL,
  `light` varchar(10) NOT NULL,
  `moon_illumination` double NOT NULL,
  `moon_phase` varchar(20) NOT NULL,
  `tide_says` varchar(40) NOT NULL DEFAULT '',
  `outing_id` uuid DEFAULT NULL,
  `told` int(11) NOT NULL DEFAULT 0,
  `rod` varchar(40) NOT NULL DEFAULT '',
  `who` varchar(60) NOT NULL DEFAULT '',
  `paused_s` int(11) NOT NULL DEFAULT 0 CHECK (`paused_s` >= 0),
  `casts` int(11) NOT NULL DEFAULT 0 CHECK (`casts` >= 0),
  `presentation` varchar(1000) DEFAULT NULL CHECK (`presentation` is null or json_valid(`presentation`)),
  `signs` varchar(1000) DEFAULT NULL CHECK (`signs` is null or json_valid(`signs`)),
  `caught` int(11) NOT NULL DEFAULT 0,
  `bycatch` tinyint(1) NOT NULL DEFAULT 0,
  `import_id` uuid DEFAULT NULL,
  PRIMARY KEY (`id`),
  KEY `spell_log` (`angler_id`,`started_at`),
  KEY `spot_id` (`spot_id`),
  KEY `spell_outing` (`outing_id`),
  KEY `spell_import` (`import_id`),
  CONSTRAINT `spell_ibfk_1` FOREIGN KEY (`angler_id`) REFERENCES `angler` (`id`) ON DELETE CASCADE,
  CONSTRAINT `spell_ibfk_2` FOREIGN KEY (`spot_id`) REFERENCES `spot` (`id`),
  CONSTRAINT `spell_import` FOREIGN KEY (`import_id`) REFERENCES `log_import` (`id`) ON DELETE SET NULL,
  CONSTRAINT `spell_of_outing` FOREIGN KEY (`outing_id`) REFERENCES `outing` (`id`) ON DELETE SET NULL,
  CONSTRAINT `CONSTRAINT_1` CHECK (`ended_at` >= `started_at`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `spell` VALUES
('018f0000-0000-7000-8000-000000000006','018f0000-0000-7000-8000-000000000001','018f0000-0000-7000-8000-000000000004','red-drum','2026-01-03 06:00:00.000','2026-01-03 07:30:00.000',2,'drop','cut-bait','mullet','blown',3,1.1,'flood',2,0.25,-3,'dawn',0.9,'full','','018f0000-0000-7000-8000-0000000000d1',0,'','',0,0,'{\"approach\":\"lure\"}','[\"birds\"]',1,0,'018f0000-0000-7000-8000-0000000000e1');
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `spell_event` (
  `spell_id` uuid NOT NULL,
  `id` uuid NOT NULL,
  `time` datetime(3) NOT NULL,
  `kind` varchar(20) NOT NULL,
  `note` varchar(1000) NOT NULL DEFAULT '',
  `who` varchar(40) NOT NULL DEFAULT '',
  `rod` varchar(40) NOT NULL DEFAULT '',
  PRIMARY KEY (`spell_id`,`id`),
  CONSTRAINT `spell_event_ibfk_1` FOREIGN KEY (`spell_id`) REFERENCES `spell` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `spell_event` VALUES
('018f0000-0000-7000-8000-000000000006','018f0000-0000-7000-8000-0000000000d3','2026-01-02 04:04:05.678','bite','','','');
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `spell_reading` (
  `spell_id` uuid NOT NULL,
  `kind` varchar(30) NOT NULL,
  `value` double NOT NULL,
  `origin` varchar(12) NOT NULL,
  `time` datetime(3) NOT NULL,
  `source` varchar(120) NOT NULL,
  `place` varchar(80) NOT NULL DEFAULT '',
  `spread` double NOT NULL DEFAULT 0 CHECK (`spread` >= 0),
  PRIMARY KEY (`spell_id`,`kind`),
  CONSTRAINT `spell_reading_ibfk_1` FOREIGN KEY (`spell_id`) REFERENCES `spell` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `spell_reading` VALUES
('018f0000-0000-7000-8000-000000000006','water_temp_c',15.25,'observed','2026-01-03 06:10:00.000','the angler','',0);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `spot` (
  `id` uuid NOT NULL,
  `angler_id` uuid NOT NULL,
  `water_id` uuid NOT NULL,
  `name` varchar(80) NOT NULL,
  `place` varchar(40) NOT NULL,
  `lat_deg` double NOT NULL CHECK (`lat_deg` between -90 and 90),
  `lon_deg` double NOT NULL CHECK (`lon_deg` between -180 and 180),
  `manner` varchar(20) NOT NULL,
  `in_name` varchar(60) NOT NULL,
  `in_elevation_m` double NOT NULL,
  `out_name` varchar(60) NOT NULL,
  `out_elevation_m` double NOT NULL,
  `note` varchar(400) NOT NULL DEFAULT '',
  `lag_high_s` int(11) NOT NULL DEFAULT 0,
  `lag_low_s` int(11) NOT NULL DEFAULT 0,
  `factor_high` double NOT NULL DEFAULT 1 CHECK (`factor_high` > 0),
  `factor_low` double NOT NULL DEFAULT 1 CHECK (`factor_low` > 0),
  `difference_high_m` double NOT NULL DEFAULT 0,
  `difference_low_m` double NOT NULL DEFAULT 0,
  `current_seen_ms` double NOT NULL DEFAULT 0 CHECK (`current_seen_ms` between 0 and 8),
  `basin_m2` double NOT NULL DEFAULT 0 CHECK (`basin_m2` >= 0),
  `passage_width_m` double NOT NULL DEFAULT 0 CHECK (`passage_width_m` >= 0),
  `passage_bed_m` double NOT NULL DEFAULT 0,
  `draught_m` double NOT NULL DEFAULT 0 CHECK (`draught_m` between 0 and 4),
  `faces_deg` double DEFAULT NULL CHECK (`faces_deg` between 0 and 360),
  `bottom` varchar(20) NOT NULL DEFAULT '',
  `hazards` varchar(400) NOT NULL DEFAULT '',
  `private` tinyint(1) NOT NULL DEFAULT 1,
  `shape` longtext DEFAULT NULL CHECK (`shape` is null or json_valid(`shape`)),
  `section_lat_deg` double DEFAULT NULL,
  `section_lon_deg` double DEFAULT NULL,
  `section_bearing_deg` double DEFAULT NULL,
  `revision` int(11) NOT NULL DEFAULT 1,
  `stand_m` double DEFAULT NULL CHECK (`stand_m` between -20 and 100),
  `manners` varchar(60) NOT NULL DEFAULT '',
  `in_clear` tinyint(1) NOT NULL DEFAULT 0,
  `out_clear` tinyint(1) NOT NULL DEFAULT 0,
  `hours` longtext DEFAULT NULL CHECK (`hours` is null or json_valid(`hours`)),
  `fee` varchar(200) NOT NULL DEFAULT '',
  `parking` varchar(200) NOT NULL DEFAULT '',
  `bend` tinyint(3) unsigned NOT NULL DEFAULT 0,
  PRIMARY KEY (`id`),
  KEY `spot_angler` (`angler_id`,`name`),
  KEY `water_id` (`water_id`),
  CONSTRAINT `spot_ibfk_1` FOREIGN KEY (`angler_id`) REFERENCES `angler` (`id`) ON DELETE CASCADE,
  CONSTRAINT `spot_ibfk_2` FOREIGN KEY (`water_id`) REFERENCES `water` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `spot` VALUES
('018f0000-0000-7000-8000-000000000004','018f0000-0000-7000-8000-000000000001','018f0000-0000-7000-8000-000000000003','Rib','oyster bar',31.2,-45.1,'on foot','the stile',0.4,'the gully',0.6,'Mind the mud; it\'s soft.',600,600,1.1,1.1,0,0,0,0,0,0,0,NULL,'','mud',1,'{\"area\":false,\"points\":[[-45.1,31.2],[-45.11,31.21]]}',31.2,-45.1,90,4,1.25,'boat',0,0,NULL,'2 a head','by the gate',0);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `station` (
  `id` uuid NOT NULL,
  `angler_id` uuid NOT NULL,
  `name` varchar(80) NOT NULL,
  `z0_m` double NOT NULL,
  `source` varchar(400) NOT NULL,
  `reference_id` uuid DEFAULT NULL,
  `lag_high_s` int(11) NOT NULL DEFAULT 0,
  `lag_low_s` int(11) NOT NULL DEFAULT 0,
  `factor_high` double NOT NULL DEFAULT 1 CHECK (`factor_high` > 0),
  `factor_low` double NOT NULL DEFAULT 1 CHECK (`factor_low` > 0),
  `difference_high_m` double NOT NULL DEFAULT 0,
  `difference_low_m` double NOT NULL DEFAULT 0,
  `revision` int(11) NOT NULL DEFAULT 1,
  `invented` tinyint(1) NOT NULL DEFAULT 0,
  PRIMARY KEY (`id`),
  KEY `angler_id` (`angler_id`),
  KEY `station_reference` (`reference_id`),
  CONSTRAINT `station_ibfk_1` FOREIGN KEY (`angler_id`) REFERENCES `angler` (`id`) ON DELETE CASCADE,
  CONSTRAINT `station_reference` FOREIGN KEY (`reference_id`) REFERENCES `station` (`id`),
  CONSTRAINT `station_not_itself` CHECK (`reference_id` is null or `reference_id` <> `id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `station` VALUES
('018f0000-0000-7000-8000-000000000002','018f0000-0000-7000-8000-000000000001','Old Quay',1.2,'invented',NULL,0,0,1,1,0,0,1,0),
('018f0000-0000-7000-8000-000000000008','018f0000-0000-7000-8000-000000000001','Creek',0,'invented','018f0000-0000-7000-8000-000000000002',900,1200,0.8,1,0,0,1,0);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `station_constituent` (
  `station_id` uuid NOT NULL,
  `name` varchar(12) NOT NULL,
  `amplitude_m` double NOT NULL CHECK (`amplitude_m` >= 0),
  `phase_deg` double NOT NULL,
  PRIMARY KEY (`station_id`,`name`),
  CONSTRAINT `station_constituent_ibfk_1` FOREIGN KEY (`station_id`) REFERENCES `station` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `station_constituent` VALUES
('018f0000-0000-7000-8000-000000000002','M2',0.7,123),
('018f0000-0000-7000-8000-000000000002','S2',0.2,160);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `surge` (
  `water_id` uuid NOT NULL,
  `by_m` double NOT NULL CHECK (`by_m` between -5 and 5),
  `seen_at` datetime(3) NOT NULL,
  `fade_s` int(11) NOT NULL CHECK (`fade_s` between 3600 and 345600),
  `revision` int(11) NOT NULL DEFAULT 1,
  PRIMARY KEY (`water_id`),
  CONSTRAINT `surge_ibfk_1` FOREIGN KEY (`water_id`) REFERENCES `water` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `surge` VALUES
('018f0000-0000-7000-8000-000000000003',0.2,'2026-01-03 05:00:00.000',43200,1);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `tag_report` (
  `id` uuid NOT NULL,
  `angler_id` uuid NOT NULL,
  `list` varchar(120) NOT NULL,
  `number` varchar(40) NOT NULL,
  `programme` varchar(80) NOT NULL DEFAULT '',
  `species` varchar(80) NOT NULL DEFAULT '',
  `met_at` datetime(3) NOT NULL,
  `lat_deg` double NOT NULL CHECK (`lat_deg` between -90 and 90),
  `lon_deg` double NOT NULL CHECK (`lon_deg` between -180 and 180),
  `length_m` double DEFAULT NULL CHECK (`length_m` > 0 and `length_m` < 4),
  PRIMARY KEY (`id`),
  KEY `report_of` (`angler_id`,`list`),
  CONSTRAINT `tag_report_ibfk_1` FOREIGN KEY (`angler_id`) REFERENCES `angler` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `tag_report` VALUES
('018f0000-0000-7000-8000-0000000000e4','018f0000-0000-7000-8000-000000000001','list.csv','A1','Programme','red drum','2026-01-02 03:04:05.000',31.3,-45.2,0.5);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `touch` (
  `outing_id` uuid NOT NULL,
  `id` uuid NOT NULL,
  `n` int(11) NOT NULL,
  `body` longtext NOT NULL CHECK (json_valid(`body`)),
  PRIMARY KEY (`outing_id`,`id`),
  CONSTRAINT `touch_ibfk_1` FOREIGN KEY (`outing_id`) REFERENCES `outing` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `touch` VALUES
('018f0000-0000-7000-8000-0000000000d1','018f0000-0000-7000-8000-0000000000d2',1,'{\"id\":\"018f0000-0000-7000-8000-0000000000d2\",\"n\":1,\"time\":\"2026-01-02T03:04:05.678Z\",\"kind\":\"note\",\"note\":\"calm\"}');
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `trial` (
  `id` uuid NOT NULL,
  `angler_id` uuid NOT NULL,
  `made_at` datetime(3) NOT NULL,
  `design` longtext NOT NULL CHECK (json_valid(`design`)),
  `changed` longtext DEFAULT NULL CHECK (`changed` is null or json_valid(`changed`)),
  `peeks` int(11) NOT NULL DEFAULT 0 CHECK (`peeks` >= 0),
  `revision` int(11) NOT NULL,
  PRIMARY KEY (`id`),
  KEY `trial_of` (`angler_id`,`made_at`),
  CONSTRAINT `trial_ibfk_1` FOREIGN KEY (`angler_id`) REFERENCES `angler` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `trial` VALUES
('018f0000-0000-7000-8000-0000000000d1','018f0000-0000-7000-8000-000000000001','2026-11-20 08:00:00.000','{\"name\":\"chrome or black\"}',NULL,1,2);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `trial_block` (
  `id` uuid NOT NULL,
  `trial_id` uuid NOT NULL,
  `started_at` datetime(3) NOT NULL,
  `ended_at` datetime(3) DEFAULT NULL,
  `turn` int(11) DEFAULT NULL,
  `body` longtext NOT NULL CHECK (json_valid(`body`)),
  `revision` int(11) NOT NULL,
  PRIMARY KEY (`id`),
  KEY `block_of` (`trial_id`,`started_at`),
  CONSTRAINT `trial_block_ibfk_1` FOREIGN KEY (`trial_id`) REFERENCES `trial` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `trial_block` VALUES
('018f0000-0000-7000-8000-0000000000d2','018f0000-0000-7000-8000-0000000000d1','2026-11-20 08:00:00.000',NULL,0,'{\"minutes\":20}',1);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `usual` (
  `water_id` uuid NOT NULL,
  `kind` varchar(40) NOT NULL,
  `month` tinyint(4) NOT NULL CHECK (`month` between 1 and 12),
  `mean` double NOT NULL,
  `spread` double NOT NULL CHECK (`spread` >= 0),
  PRIMARY KEY (`water_id`,`kind`,`month`),
  CONSTRAINT `usual_ibfk_1` FOREIGN KEY (`water_id`) REFERENCES `water` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `usual` VALUES
('018f0000-0000-7000-8000-000000000003','water_temp_c',5,18,1.5);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `water` (
  `id` uuid NOT NULL,
  `angler_id` uuid NOT NULL,
  `station_id` uuid NOT NULL,
  `name` varchar(80) NOT NULL,
  `time_zone` varchar(64) NOT NULL,
  `revision` int(11) NOT NULL DEFAULT 1,
  `invented` tinyint(1) NOT NULL DEFAULT 0,
  PRIMARY KEY (`id`),
  KEY `angler_id` (`angler_id`),
  KEY `station_id` (`station_id`),
  CONSTRAINT `water_ibfk_1` FOREIGN KEY (`angler_id`) REFERENCES `angler` (`id`) ON DELETE CASCADE,
  CONSTRAINT `water_ibfk_2` FOREIGN KEY (`station_id`) REFERENCES `station` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `water` VALUES
('018f0000-0000-7000-8000-000000000003','018f0000-0000-7000-8000-000000000001','018f0000-0000-7000-8000-000000000002','Grey Sound','Atlantic/Azores',1,0);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `zone` (
  `id` uuid NOT NULL,
  `water_id` uuid NOT NULL,
  `name` varchar(80) NOT NULL,
  `kind` varchar(20) NOT NULL CHECK (`kind` in ('no take','seasonal','voluntary code')),
  `says` varchar(400) NOT NULL,
  `source` varchar(200) NOT NULL,
  `checked_on` date NOT NULL,
  `from_md` int(11) NOT NULL DEFAULT 0,
  `to_md` int(11) NOT NULL DEFAULT 0,
  `ring` longtext NOT NULL CHECK (json_valid(`ring`)),
  `revision` int(11) NOT NULL DEFAULT 1,
  PRIMARY KEY (`id`),
  KEY `water_id` (`water_id`),
  CONSTRAINT `zone_ibfk_1` FOREIGN KEY (`water_id`) REFERENCES `water` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `zone` VALUES
('018f0000-0000-7000-8000-00000000000a','018f0000-0000-7000-8000-000000000003','Nursery','seasonal','no fishing','invented order','2026-01-01',1101,228,'[[[-45.2,31.1],[-45.0,31.1],[-45.0,31.3],[-45.2,31.1]]]',1);
