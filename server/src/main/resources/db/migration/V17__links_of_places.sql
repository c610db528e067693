alter table public_link add column place varchar(1000);
