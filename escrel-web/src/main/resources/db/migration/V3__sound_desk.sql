-- body: the WAV file, gzipped
create table recording (
    job         int                      not null,
    number      int                      not null,
    name        varchar(200)             not null,
    sample_rate double precision         not null,
    seconds     double precision         not null,
    device      varchar(200)             not null,
    simulated   boolean                  not null,
    body        blob                     not null,
    added_at    timestamp with time zone not null,
    primary key (job, number)
);

-- ppm: how fast the clock of the device runs; doubt_ppm: one standard error
create table sound_device (
    name          varchar(200)             not null primary key,
    ppm           double precision         not null,
    doubt_ppm     double precision         not null,
    reference     varchar(400)             not null,
    calibrated_at timestamp with time zone not null
);

-- which column of a timing machine's file means what, by the heading of the file
create table column_mapping (
    heading varchar(4000) not null primary key,
    mapping varchar(4000) not null
);

-- the clock that runs for a job: when the next reading is due, and which
alter table job add column due_at timestamp with time zone;
alter table job add column due_words varchar(200);
