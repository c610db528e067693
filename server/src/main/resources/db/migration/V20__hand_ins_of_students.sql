create index hand_in_by_student on hand_in (term_id, student);
