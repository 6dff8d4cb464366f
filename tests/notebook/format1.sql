BEGIN TRANSACTION;
CREATE TABLE candidate (
	study_id INTEGER NOT NULL, 
	name VARCHAR NOT NULL, 
	position INTEGER NOT NULL, 
	id INTEGER NOT NULL, 
	binned_at VARCHAR, 
	PRIMARY KEY (id), 
	FOREIGN KEY(study_id) REFERENCES study (id)
);
INSERT INTO "candidate" VALUES(1,'Reed',0,1,NULL);
INSERT INTO "candidate" VALUES(1,'Rush',1,2,NULL);
INSERT INTO "candidate" VALUES(2,'Tern',0,3,NULL);
INSERT INTO "candidate" VALUES(2,'Plover',1,4,NULL);
CREATE TABLE channel (
	id INTEGER NOT NULL, 
	run_id INTEGER NOT NULL, 
	position INTEGER NOT NULL, 
	name VARCHAR NOT NULL, 
	unit VARCHAR, 
	quantity VARCHAR NOT NULL, 
	role VARCHAR, 
	PRIMARY KEY (id), 
	FOREIGN KEY(run_id) REFERENCES run (id)
);
INSERT INTO "channel" VALUES(1,1,0,'Ambient','degC','temperature','room');
INSERT INTO "channel" VALUES(2,1,1,'Coolant in','degC','temperature','coolant_in');
INSERT INTO "channel" VALUES(3,1,2,'Coolant out','degC','temperature','coolant_out');
INSERT INTO "channel" VALUES(4,1,3,'Die','degC','temperature','die');
INSERT INTO "channel" VALUES(5,1,4,'Package power','W','power','power');
INSERT INTO "channel" VALUES(6,1,5,'Clock','MHz','frequency','clock');
INSERT INTO "channel" VALUES(7,1,6,'Flow','L/h','flow','flow');
INSERT INTO "channel" VALUES(8,1,7,'Fan','rpm','rotational_speed','fan');
INSERT INTO "channel" VALUES(9,1,8,'Pump','rpm','rotational_speed','pump');
INSERT INTO "channel" VALUES(10,1,9,'Sound','dBA','sound_level','sound');
INSERT INTO "channel" VALUES(11,1,10,'Frame rate','fps','unknown',NULL);
CREATE TABLE chunk (
	id INTEGER NOT NULL, 
	run_id INTEGER NOT NULL, 
	sequence INTEGER NOT NULL, 
	rows INTEGER NOT NULL, 
	columns INTEGER NOT NULL, 
	data BLOB NOT NULL, 
	PRIMARY KEY (id), 
	UNIQUE (run_id, sequence), 
	FOREIGN KEY(run_id) REFERENCES run (id)
);
CREATE TABLE edit (
	id INTEGER NOT NULL, 
	label VARCHAR NOT NULL, 
	at VARCHAR NOT NULL, 
	changes JSON NOT NULL, 
	undone BOOLEAN NOT NULL, 
	PRIMARY KEY (id)
);
CREATE TABLE exclusion (
	id INTEGER NOT NULL, 
	mount_id INTEGER NOT NULL, 
	reason VARCHAR NOT NULL, 
	at VARCHAR NOT NULL, 
	PRIMARY KEY (id), 
	FOREIGN KEY(mount_id) REFERENCES mount (id)
);
CREATE TABLE mapping (
	id INTEGER NOT NULL, 
	shape VARCHAR NOT NULL, 
	roles JSON NOT NULL, 
	units JSON NOT NULL, 
	PRIMARY KEY (id), 
	UNIQUE (shape)
);
CREATE TABLE mount (
	candidate_id INTEGER NOT NULL, 
	sample_id INTEGER, 
	round INTEGER NOT NULL, 
	position INTEGER NOT NULL, 
	note VARCHAR NOT NULL, 
	kept_because VARCHAR, 
	id INTEGER NOT NULL, 
	binned_at VARCHAR, 
	PRIMARY KEY (id), 
	FOREIGN KEY(candidate_id) REFERENCES candidate (id), 
	FOREIGN KEY(sample_id) REFERENCES sample (id)
);
INSERT INTO "mount" VALUES(1,1,1,100,'',NULL,1,NULL);
CREATE TABLE reading (
	id INTEGER NOT NULL, 
	run_id INTEGER NOT NULL, 
	made_from VARCHAR NOT NULL, 
	"values" JSON NOT NULL, 
	PRIMARY KEY (id), 
	UNIQUE (run_id, made_from), 
	FOREIGN KEY(run_id) REFERENCES run (id)
);
CREATE TABLE run (
	mount_id INTEGER NOT NULL, 
	source VARCHAR NOT NULL, 
	started_at VARCHAR, 
	rows INTEGER NOT NULL, 
	duration_s DOUBLE NOT NULL, 
	warnings JSON NOT NULL, 
	added_at VARCHAR NOT NULL, 
	id INTEGER NOT NULL, 
	binned_at VARCHAR, 
	PRIMARY KEY (id), 
	FOREIGN KEY(mount_id) REFERENCES mount (id)
);
INSERT INTO "run" VALUES(1,'heron_bench.csv','2026-03-02T10:15:00',1300,2881.0,'[]','2026-11-25T04:17:26',1,NULL);
CREATE TABLE sample (
	candidate_id INTEGER NOT NULL, 
	label VARCHAR NOT NULL, 
	id INTEGER NOT NULL, 
	binned_at VARCHAR, 
	PRIMARY KEY (id), 
	FOREIGN KEY(candidate_id) REFERENCES candidate (id)
);
INSERT INTO "sample" VALUES(1,'1',1,NULL);
INSERT INTO "sample" VALUES(2,'1',2,NULL);
INSERT INTO "sample" VALUES(3,'1',3,NULL);
INSERT INTO "sample" VALUES(4,'1',4,NULL);
CREATE TABLE study (
	name VARCHAR NOT NULL, 
	question VARCHAR NOT NULL, 
	under_test VARCHAR NOT NULL, 
	margin_k DOUBLE NOT NULL, 
	confidence DOUBLE NOT NULL, 
	reference_power_w DOUBLE, 
	reference_air_c DOUBLE NOT NULL, 
	tolerance_k DOUBLE NOT NULL, 
	school VARCHAR, 
	reference_candidate VARCHAR, 
	blocks BOOLEAN NOT NULL, 
	planned_rounds INTEGER NOT NULL, 
	created_at VARCHAR NOT NULL, 
	id INTEGER NOT NULL, 
	binned_at VARCHAR, 
	PRIMARY KEY (id)
);
INSERT INTO "study" VALUES('Which slim radiator?','Which slim radiator?','radiator',1.0,0.95,NULL,22.0,0.2,NULL,'Rush',0,3,'2026-11-25T04:17:25',1,NULL);
INSERT INTO "study" VALUES('Which block?','Which block?','block',1.0,0.95,NULL,22.0,0.2,NULL,NULL,0,3,'2026-11-25T04:17:25',2,NULL);
CREATE TABLE window (
	id INTEGER NOT NULL, 
	run_id INTEGER NOT NULL, 
	begin_s DOUBLE NOT NULL, 
	end_s DOUBLE NOT NULL, 
	PRIMARY KEY (id), 
	FOREIGN KEY(run_id) REFERENCES run (id)
);
CREATE INDEX ix_chunk_run_id ON chunk (run_id);
CREATE INDEX ix_reading_run_id ON reading (run_id);
COMMIT;
