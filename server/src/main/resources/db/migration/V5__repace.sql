alter table section_lesson add column joined boolean default false not null;
alter table section_lesson add column mid_week boolean default false not null;
