-- who was invited to look or to stand in makes no terms, unless the invitation says so
alter table account add column guest boolean default false not null;
alter table account add column locked boolean default false not null;
alter table colleague add column makes_terms boolean default false not null;

-- there is one first account, however many ask for it at once
create table first_account (
  id integer primary key,
  made_at timestamp with time zone not null
);
insert into first_account (id, made_at) select 1, min(created_at) from account having count(*) > 0;

-- what is said of something for oneself, or of one student's own dates, is not said to who may only look
alter table history_entry add column of_oneself boolean default false not null;
update history_entry set of_oneself = true
  where delta like '%"table":"notice"%' or delta like '%"table":"day_note"%' or delta like '%"table":"adjustment"%';
