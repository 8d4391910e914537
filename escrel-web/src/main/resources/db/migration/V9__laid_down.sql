-- What a job's repeated readings show of how well this workshop lays a watch down (measures, M10): sums of squares about the mean of
-- each position, and how many repeats that is. Only jobs with repeats have a row. It follows from the steps.
create table job_laid (
    job                  int    not null primary key references job (number),
    rate_squares         double not null,
    rate_freedom         int    not null,
    amplitude_squares    double not null,
    amplitude_freedom    int    not null,
    beat_error_squares   double not null,
    beat_error_freedom   int    not null
);

-- jobs without a line get all that is read of them when Escrel starts
delete from job_learnt;
delete from job_line;
