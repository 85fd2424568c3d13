/*M!999999\- enable the sandbox mode */ 
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `angler` (
  `id` uuid NOT NULL,
  `name` varchar(60) NOT NULL,
  `password_hash` varchar(200) NOT NULL,
  `created_at` datetime(3) NOT NULL DEFAULT current_timestamp(3),
  PRIMARY KEY (`id`),
  UNIQUE KEY `name` (`name`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `angler` VALUES
('018f0000-0000-7000-8000-000000000001','heron','x','2026-01-02 03:04:05.678');
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
  PRIMARY KEY (`id`),
  KEY `catch_spell` (`spell_id`),
  KEY `angler_id` (`angler_id`),
  CONSTRAINT `catch_ibfk_1` FOREIGN KEY (`angler_id`) REFERENCES `angler` (`id`) ON DELETE CASCADE,
  CONSTRAINT `catch_ibfk_2` FOREIGN KEY (`spell_id`) REFERENCES `spell` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `catch` VALUES
('018f0000-0000-7000-8000-000000000007','018f0000-0000-7000-8000-000000000001','018f0000-0000-7000-8000-000000000006','red-drum','2026-01-03 06:40:00.000',0.62,2.9,0,'clean',1);
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
CREATE TABLE `goose_db_version` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `version_id` bigint(20) NOT NULL,
  `is_applied` tinyint(1) NOT NULL,
  `tstamp` datetime DEFAULT current_timestamp(),
  PRIMARY KEY (`id`)
) ENGINE=InnoDB AUTO_INCREMENT=4 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_uca1400_ai_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `goose_db_version` VALUES
(1,0,1,'2026-11-27 23:03:00'),
(2,1,1,'2026-11-27 23:03:00'),
(3,2,1,'2026-11-27 23:03:00');
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
  PRIMARY KEY (`id`),
  KEY `spot_id` (`spot_id`),
  CONSTRAINT `mark_ibfk_1` FOREIGN KEY (`spot_id`) REFERENCES `spot` (`id`) ON DELETE CASCADE,
  CONSTRAINT `CONSTRAINT_1` CHECK (`fishable_max_m` is null or `fishable_max_m` > `fishable_min_m`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `mark` VALUES
('018f0000-0000-7000-8000-000000000005','018f0000-0000-7000-8000-000000000004','drop','edge',40,-0.5,'shell',0.4,2,'Rib edge');
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `reading` (
  `water_id` uuid NOT NULL,
  `kind` varchar(30) NOT NULL,
  `time` datetime(3) NOT NULL,
  `origin` varchar(12) NOT NULL CHECK (`origin` in ('observed','forecast','predicted','assumed')),
  `value` double NOT NULL,
  `source` varchar(120) NOT NULL,
  PRIMARY KEY (`water_id`,`kind`,`time`,`origin`),
  CONSTRAINT `reading_ibfk_1` FOREIGN KEY (`water_id`) REFERENCES `water` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `reading` VALUES
('018f0000-0000-7000-8000-000000000003','water_temp_c','2026-01-03 06:00:00.000','observed',15.25,'the angler'),
('018f0000-0000-7000-8000-000000000003','wind_speed_ms','2026-01-03 06:00:00.000','forecast',4.5,'service');
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
  `expiry` timestamp(6) NOT NULL,
  PRIMARY KEY (`token`),
  KEY `sessions_expiry` (`expiry`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `sessions` VALUES
('aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa',0x64617461,'2030-01-01 00:00:00.500000');
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
  PRIMARY KEY (`id`),
  KEY `spell_log` (`angler_id`,`started_at`),
  KEY `spot_id` (`spot_id`),
  CONSTRAINT `spell_ibfk_1` FOREIGN KEY (`angler_id`) REFERENCES `angler` (`id`) ON DELETE CASCADE,
  CONSTRAINT `spell_ibfk_2` FOREIGN KEY (`spot_id`) REFERENCES `spot` (`id`),
  CONSTRAINT `CONSTRAINT_1` CHECK (`ended_at` >= `started_at`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `spell` VALUES
('018f0000-0000-7000-8000-000000000006','018f0000-0000-7000-8000-000000000001','018f0000-0000-7000-8000-000000000004','red-drum','2026-01-03 06:00:00.000','2026-01-03 07:30:00.000',2,'drop','cut-bait','mullet','blown',3,1.1,'flood',2,0.25,-3,'dawn',0.9,'full');
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `spell_reading` (
  `spell_id` uuid NOT NULL,
  `kind` varchar(30) NOT NULL,
  `value` double NOT NULL,
  `origin` varchar(12) NOT NULL,
  `time` datetime(3) NOT NULL,
  `source` varchar(120) NOT NULL,
  PRIMARY KEY (`spell_id`,`kind`),
  CONSTRAINT `spell_reading_ibfk_1` FOREIGN KEY (`spell_id`) REFERENCES `spell` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `spell_reading` VALUES
('018f0000-0000-7000-8000-000000000006','water_temp_c',15.25,'observed','2026-01-03 06:10:00.000','the angler');
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
  `lag_s` int(11) NOT NULL DEFAULT 0,
  `height_factor` double NOT NULL DEFAULT 1 CHECK (`height_factor` > 0),
  `manner` varchar(20) NOT NULL,
  `in_name` varchar(60) NOT NULL,
  `in_elevation_m` double NOT NULL,
  `out_name` varchar(60) NOT NULL,
  `out_elevation_m` double NOT NULL,
  `note` varchar(400) NOT NULL DEFAULT '',
  PRIMARY KEY (`id`),
  KEY `spot_angler` (`angler_id`,`name`),
  KEY `water_id` (`water_id`),
  CONSTRAINT `spot_ibfk_1` FOREIGN KEY (`angler_id`) REFERENCES `angler` (`id`) ON DELETE CASCADE,
  CONSTRAINT `spot_ibfk_2` FOREIGN KEY (`water_id`) REFERENCES `water` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `spot` VALUES
('018f0000-0000-7000-8000-000000000004','018f0000-0000-7000-8000-000000000001','018f0000-0000-7000-8000-000000000003','Rib','oyster bar',31.2,-45.1,600,1.1,'on foot','the stile',0.4,'the gully',0.6,'Mind the mud; it\'s soft.');
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `station` (
  `id` uuid NOT NULL,
  `angler_id` uuid NOT NULL,
  `name` varchar(80) NOT NULL,
  `z0_m` double NOT NULL,
  `source` varchar(200) NOT NULL,
  PRIMARY KEY (`id`),
  KEY `angler_id` (`angler_id`),
  CONSTRAINT `station_ibfk_1` FOREIGN KEY (`angler_id`) REFERENCES `angler` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `station` VALUES
('018f0000-0000-7000-8000-000000000002','018f0000-0000-7000-8000-000000000001','Old Quay',1.2,'invented');
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
CREATE TABLE `water` (
  `id` uuid NOT NULL,
  `angler_id` uuid NOT NULL,
  `station_id` uuid NOT NULL,
  `name` varchar(80) NOT NULL,
  `time_zone` varchar(64) NOT NULL,
  PRIMARY KEY (`id`),
  KEY `angler_id` (`angler_id`),
  KEY `station_id` (`station_id`),
  CONSTRAINT `water_ibfk_1` FOREIGN KEY (`angler_id`) REFERENCES `angler` (`id`) ON DELETE CASCADE,
  CONSTRAINT `water_ibfk_2` FOREIGN KEY (`station_id`) REFERENCES `station` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `water` VALUES
('018f0000-0000-7000-8000-000000000003','018f0000-0000-7000-8000-000000000001','018f0000-0000-7000-8000-000000000002','Grey Sound','Atlantic/Azores');
