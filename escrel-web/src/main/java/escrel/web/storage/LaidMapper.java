package escrel.web.storage;

import escrel.core.timing.comparison.Layings;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** What repeated readings show of how well watches are laid down here, a row for each job that has some. */
@Mapper
public interface LaidMapper {
    /** Sums of squares in the figure's unit squared, and repeats. */
    record LaidRow(
            double rateSquares,
            int rateFreedom,
            double amplitudeSquares,
            int amplitudeFreedom,
            double beatErrorSquares,
            int beatErrorFreedom) {
        /** As the core reckons with it. */
        public Layings layings() {
            return new Layings(
                    new Layings.Figure(rateSquares, rateFreedom),
                    new Layings.Figure(amplitudeSquares, amplitudeFreedom),
                    new Layings.Figure(beatErrorSquares, beatErrorFreedom));
        }
    }

    /** Those of all jobs together. */
    @Select("""
            select coalesce(sum(rate_squares), 0) as rateSquares, coalesce(sum(rate_freedom), 0) as rateFreedom,
              coalesce(sum(amplitude_squares), 0) as amplitudeSquares, coalesce(sum(amplitude_freedom), 0) as amplitudeFreedom,
              coalesce(sum(beat_error_squares), 0) as beatErrorSquares, coalesce(sum(beat_error_freedom), 0) as beatErrorFreedom
            from job_laid""")
    LaidRow all();

    @Insert("""
            merge into job_laid key (job) values (#{job}, #{laid.rate.squares}, #{laid.rate.freedom}, #{laid.amplitude.squares},
              #{laid.amplitude.freedom}, #{laid.beatError.squares}, #{laid.beatError.freedom})""")
    void put(int job, Layings laid);

    @Delete("delete from job_laid where job = #{job}")
    void drop(int job);

    @Delete("delete from job_laid")
    void clear();
}
