alter table section_lesson add column minutes_had integer;
