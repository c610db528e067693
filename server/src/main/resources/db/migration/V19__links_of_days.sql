alter table public_link add column first_day date;
alter table public_link add column last_day date;
