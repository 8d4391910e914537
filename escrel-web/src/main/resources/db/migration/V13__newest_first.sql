-- The newest of a calibre, of a kind of work, of a part are asked for: H2 reads an index one way only, so it has to stand
-- that way round, or every row of the calibre is read and sorted.
drop index job_by_calibre;
create index job_by_calibre on job (calibre, number desc);
drop index job_way_by_decision;
create index job_way_by_decision on job_way (decision, job desc);
drop index job_copy_by_part;
create index job_copy_by_part on job_copy (part, at_hand desc);
create index job_want_by_part on job_want (part, since desc);

-- What stands at a state, promised first, and all that is counted of it: no row has to be fetched for the count.
drop index job_want_by_state;
create index job_want_by_state on job_want (state, expected nulls last, since, job, price);
create index job_want_by_source on job_want (source, state);
