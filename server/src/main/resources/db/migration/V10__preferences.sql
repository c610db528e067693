-- how a person reads times and weeks
alter table account add column twelve_hours boolean default false not null;
alter table account add column week_start varchar(2) default 'MO' not null;
