alter table section_lesson add column minutes_had integer;
alter table course add column waits varchar(1000000);
