alter table account add column display varchar(2000000);
