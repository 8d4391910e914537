-- what was sent and recorded, so that the same form sent twice is recorded once
create table sent_act (
    identity char(22) not null primary key,
    job      int      not null references job (number)
);

-- What lists, search and learning read of jobs, each where it is looked for. Everything here follows from the steps; a job
-- without a line gets all of it when Escrel starts.
drop table job_line;
create table job_line (
    job   int          not null primary key references job (number),
    waits varchar(60)  not null,
    -- how much is open in which room
    open  varchar(400) not null
);

-- the words by which a job is found, each from its beginning
create table job_word (
    word varchar(40) not null,
    job  int         not null references job (number),
    primary key (word, job)
);
create index job_word_by_job on job_word (job);

-- what a service teaches of its calibre, by the codes of the sheet
create table job_learnt (
    job     int            not null primary key references job (number),
    -- the parts in the order in which they came off, one on a line
    taken   varchar(60000) not null,
    -- minutes each part took, one part on a line
    times   varchar(60000) not null,
    -- figures of the final readings
    figures varchar(400)   not null
);

-- those in the house first, of the gone ones the latest
drop index job_by_stage;
create index job_by_stage on job (stage, changed_at desc);
drop index job_by_change;
create index job_by_change on job (changed_at desc);
create index job_by_watch on job (watch, owner, opened_at desc);
create index job_by_owner on job (owner);
