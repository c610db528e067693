create table told_session (
  term_id bigint not null,
  course varchar(1000) not null,
  section varchar(1000) not null,
  name timestamp not null,
  starts timestamp not null,
  ends timestamp not null,
  place varchar(1000000) not null,
  lessons varchar(1000000),
  primary key (term_id, course, section, name),
  foreign key (term_id, course, section) references section (term_id, course, code)
);
