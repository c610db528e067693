alter table course add column took varchar(1000000);
