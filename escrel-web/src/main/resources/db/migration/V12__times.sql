-- How long services took at this bench and what their parts cost: what the next estimate goes by. It follows from the steps.
create table job_time (
    job     int    not null primary key references job (number),
    minutes double not null,
    parts   double not null
);

-- How long each piece of work on a finding took.
create table job_way (
    job      int         not null references job (number),
    at       int         not null,
    decision varchar(24) not null,
    minutes  double      not null,
    primary key (job, at)
);
create index job_way_by_decision on job_way (decision, job);

-- jobs without a line get all that is read of them when Escrel starts
delete from job_learnt;
delete from job_line;
