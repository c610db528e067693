alter table told_work add column entries varchar(1000000);
