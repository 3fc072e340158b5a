-- What a field knows of an attempt: its score and its splits, so that thousands are ranked without reading any of them again.
alter table attempt_said add column entry character varying(400000) default '' not null;
