alter table calendar add column office_hours varchar(1000000);
