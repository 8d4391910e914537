package escrel.web.readings;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Role;
import escrel.core.calibre.WatchClass;
import escrel.core.quantity.Amplitude;
import escrel.core.quantity.BeatError;
import escrel.core.quantity.LiftAngle;
import escrel.core.quantity.Measured;
import escrel.core.regulation.BeatErrorCure;
import escrel.core.timing.comparison.BeatErrorBand;
import escrel.core.timing.comparison.PositionFigures;
import escrel.core.timing.comparison.Targets;
import escrel.core.timing.readings.Fitted;
import escrel.core.timing.readings.Occasion;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.Wound;
import escrel.web.chart.SetWords;
import escrel.web.job.OpenJob;
import escrel.web.sound.Analysis;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** The readings page. */
record ReadingsView(
        ReadingState state,
        Position position,
        List<Tab> tabs,
        List<Row> rows,
        @Nullable ReadingSet set,
        Occasion occasion,
        @Nullable PositionFigures figures,
        OptionalDouble worn,
        LiftAngle liftAngle,
        @Nullable Double beatsPerHour,
        List<String> clocks) {
    /**
     * Readings to choose: a set that was taken, or a state of which none was.
     *
     * @param query for the address
     */
    record Tab(String words, String query, boolean taken, boolean current) {}

    /** A position with what was read. */
    record Row(
            Position position, @Nullable Reading reading, String band, String beat, String offset, boolean current) {}

    static ReadingsView of(
            OpenJob job, @Nullable String key, @Nullable ReadingState wanted, @Nullable Position position) {
        List<ReadingSet> sets = job.readings();
        ReadingSet set = choose(job, sets, key, wanted);
        ReadingState state = set != null ? set.state() : wanted != null ? wanted : stateOf(key);
        Position current = position == null ? firstOpen(set) : position;
        CalibreSheet sheet = job.sheet();
        PositionFigures figures = set == null || !set.ran() ? null : PositionFigures.of(set);
        boolean pocket = sheet != null && sheet.data().watchClass() == WatchClass.POCKET;
        return new ReadingsView(
                state,
                current,
                tabs(sets, set, state),
                Arrays.stream(Position.values())
                        .map(p -> row(p, set, current, sheet, sets))
                        .toList(),
                set,
                set == null ? usual(job, state) : set.occasion().orElseGet(() -> usual(job, state)),
                figures,
                figures == null
                        ? OptionalDouble.empty()
                        : figures.wornRate(pocket ? PositionFigures.POCKET : PositionFigures.WRIST),
                Analysis.liftAngle(sheet),
                sheet == null ? null : sheet.data().beatsPerHour(),
                SetWords.clocks(set == null ? List.of() : List.of(set)));
    }

    /** The key of an occasion, as of the set that holds its readings. */
    static String key(Occasion o) {
        return o.key();
    }

    /** What is probably fitted: without its dial, the bare movement. */
    private static Occasion usual(OpenJob job, ReadingState state) {
        boolean bare = job.movement()
                .withRole(Role.DIAL)
                .filter(d -> job.job().lives().isOff(d.code()))
                .isPresent();
        return new Occasion(state, bare ? Fitted.BARE_MOVEMENT : Fitted.CASED, Wound.FULL, null, null);
    }

    private static @Nullable ReadingSet choose(
            OpenJob job, List<ReadingSet> sets, @Nullable String key, @Nullable ReadingState wanted) {
        if (key != null) {
            return sets.stream().filter(s -> s.key().equals(key)).findFirst().orElse(null);
        }
        if (wanted != null) {
            return ReadingSet.main(sets, wanted)
                    .filter(s -> !job.job().isPast(s))
                    .orElse(null);
        }
        return sets.isEmpty() ? null : sets.get(sets.size() - 1);
    }

    private static ReadingState stateOf(@Nullable String key) {
        return Arrays.stream(ReadingState.values())
                .filter(s -> key != null && key.startsWith(s.name()))
                .findFirst()
                .orElse(ReadingState.AS_RECEIVED);
    }

    private static List<Tab> tabs(List<ReadingSet> sets, @Nullable ReadingSet set, ReadingState state) {
        List<Tab> tabs = new ArrayList<>();
        for (ReadingState each : ReadingState.values()) {
            List<ReadingSet> here = sets.stream().filter(s -> s.state() == each).toList();
            if (here.isEmpty()) {
                tabs.add(new Tab(SetWords.of(each), "state=" + each, false, set == null && state == each));
            }
            for (ReadingSet one : here) {
                String words = here.size() == 1 ? SetWords.of(each) : SetWords.of(one);
                tabs.add(new Tab(words, "set=" + one.key(), true, one == set));
            }
        }
        return tabs;
    }

    private static Position firstOpen(@Nullable ReadingSet set) {
        return Arrays.stream(Position.values())
                .filter(p -> set == null || set.in(p).isEmpty())
                .findFirst()
                .orElse(Position.DIAL_UP);
    }

    private static Row row(
            Position position,
            @Nullable ReadingSet set,
            Position current,
            @Nullable CalibreSheet sheet,
            List<ReadingSet> sets) {
        Reading reading = set == null ? null : set.in(position).orElse(null);
        String band = "";
        String offset = "";
        Measured amplitude = reading == null ? null : reading.amplitudeDegrees();
        Measured error = reading == null ? null : reading.beatErrorMillis();
        if (amplitude != null && !amplitude.isBound() && position.isHorizontal()) {
            band = Targets.amplitudeBand(amplitude.value());
        }
        if (sheet != null
                && reading != null
                && amplitude != null
                && error != null
                && reading.beatRate() != null
                && !amplitude.isBound()
                && !error.isBound()) {
            // M4: what the beat error means at the balance
            offset = "%.1f°"
                    .formatted(BeatErrorCure.jewelOffsetDegrees(
                            reading.beatRate(),
                            Amplitude.ofDegrees(amplitude.value()),
                            BeatError.ofMillis(error.value())));
        }
        String beat = set == null
                ? ""
                : BeatErrorBand.words(
                        set, position, sets, sheet == null ? null : sheet.data().stud());
        return new Row(position, reading, band, beat, offset, position == current);
    }
}
