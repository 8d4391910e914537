-- What lists and the search read of a job, written with every step of it. Everything here follows from the steps; a job
-- without a line gets one when Escrel starts.
create table job_line (
    job   int            not null primary key,
    waits varchar(60)    not null,
    words varchar(30000) not null,
    -- the parts in the order in which they came off, by the codes of the sheet
    taken varchar(60000) not null,
    constraint job_line_job foreign key (job) references job (number)
);
create index job_by_calibre on job (calibre, number);
create index job_by_stage on job (stage, changed_at);
create index job_by_change on job (changed_at);
