alter table section_session add column links varchar(1000000);
