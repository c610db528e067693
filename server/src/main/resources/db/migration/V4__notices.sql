alter table course add column weights varchar(1000000);
alter table section_lesson add column told date;
alter table item add column shared varchar(1000000);

create table notice (
  term_id bigint not null,
  course varchar(1000) not null,
  id varchar(1000) not null,
  unit varchar(1000),
  position integer not null,
  title varchar(1000000) not null,
  text varchar(1000000) not null,
  place varchar(1000000) not null,
  links varchar(1000000),
  occurs varchar(1000000) not null,
  other_times varchar(1000000),
  reach varchar(200) not null,
  only_sections varchar(1000000),
  shared varchar(1000000),
  hidden_until varchar(1000000),
  extra varchar(1000000) not null,
  primary key (term_id, course, id),
  foreign key (term_id, course) references course (term_id, code)
);

create table rhythm (
  term_id bigint not null,
  course varchar(1000) not null,
  id varchar(1000) not null,
  unit varchar(1000) not null,
  position integer not null,
  title varchar(1000000) not null,
  weekdays varchar(200) not null,
  words varchar(1000000) not null,
  every_nth integer not null,
  begin_nth integer not null,
  times integer not null,
  yielded varchar(1000000) not null,
  parts varchar(1000000) not null,
  extra varchar(1000000) not null,
  primary key (term_id, course, id),
  foreign key (term_id, course) references course (term_id, code)
);

create table day_note (
  term_id bigint not null,
  course varchar(1000) not null,
  section varchar(1000) not null,
  on_date date not null,
  position integer not null,
  text varchar(1000000) not null,
  own boolean not null,
  primary key (term_id, course, section, on_date),
  foreign key (term_id, course) references course (term_id, code)
);

create table week_note (
  term_id bigint not null,
  course varchar(1000) not null,
  section varchar(1000) not null,
  first_day date not null,
  position integer not null,
  headline varchar(1000000) not null,
  targets varchar(1000000),
  primary key (term_id, course, section, first_day),
  foreign key (term_id, course) references course (term_id, code)
);
