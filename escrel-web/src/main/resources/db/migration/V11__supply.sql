-- What jobs want from elsewhere: parts to get, ordered, out for work, here to fit. Follows from the steps.
create table job_want (
    job      int                      not null references job (number),
    want     varchar(40)              not null,
    state    varchar(12)              not null,
    part     varchar(120),
    what     varchar(400)             not null,
    source   varchar(200)             not null,
    since    timestamp with time zone not null,
    -- a day, as 2026-11-27
    expected varchar(10),
    price    double precision,
    size     varchar(200),
    words    varchar(400)             not null,
    primary key (job, want)
);
create index job_want_by_state on job_want (state, expected, since);

-- The copies brought into jobs in the place of others: what fitted, where it came from, what was drawn from donor and stock.
create table job_copy (
    job        int                      not null references job (number),
    part       varchar(120)             not null,
    copy       int                      not null,
    origin     varchar(10)              not null,
    source     varchar(200)             not null,
    taken_from varchar(200),
    size       varchar(400)             not null,
    at_hand    timestamp with time zone not null,
    fitted     boolean                  not null,
    primary key (job, part, copy)
);
create index job_copy_by_part on job_copy (part, job);
create index job_copy_by_source on job_copy (taken_from, at_hand);

-- jobs without a line get all that is read of them when Escrel starts
delete from job_learnt;
delete from job_line;
