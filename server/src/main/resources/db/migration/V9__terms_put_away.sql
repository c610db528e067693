alter table term add column archived boolean default false not null;
alter table term add column deleted_at timestamp with time zone;
