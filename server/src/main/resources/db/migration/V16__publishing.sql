alter table course add column publishing varchar(1000000);
