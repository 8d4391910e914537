package escrel.web.readings;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.WatchClass;
import escrel.core.quantity.Amplitude;
import escrel.core.quantity.BeatError;
import escrel.core.quantity.LiftAngle;
import escrel.core.regulation.BeatErrorCure;
import escrel.core.timing.comparison.PositionFigures;
import escrel.core.timing.comparison.Targets;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.timing.readings.ReadingState;
import escrel.web.job.OpenJob;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** The readings page. */
record ReadingsView(
        ReadingState state,
        Position position,
        List<Tab> states,
        List<Row> rows,
        @Nullable ReadingSet set,
        @Nullable PositionFigures figures,
        OptionalDouble worn,
        LiftAngle liftAngle,
        @Nullable Double beatsPerHour) {
    /** A state to choose. */
    record Tab(ReadingState state, boolean taken, boolean current) {}

    /** A position with what was read. */
    record Row(
            Position position, @Nullable Reading reading, String band, String beat, String offset, boolean current) {}

    static ReadingsView of(OpenJob job, @Nullable ReadingState wanted, @Nullable Position position) {
        List<ReadingSet> sets = job.readings();
        ReadingState state = wanted != null
                ? wanted
                : sets.isEmpty()
                        ? ReadingState.AS_RECEIVED
                        : sets.get(sets.size() - 1).state();
        ReadingSet set =
                sets.stream().filter(s -> s.state() == state).findFirst().orElse(null);
        Position current = position == null ? firstOpen(set) : position;
        CalibreSheet sheet = job.sheet();
        PositionFigures figures = set == null || !set.ran() ? null : PositionFigures.of(set);
        boolean pocket = sheet != null && sheet.data().watchClass() == WatchClass.POCKET;
        return new ReadingsView(
                state,
                current,
                Arrays.stream(ReadingState.values())
                        .map(s -> new Tab(s, sets.stream().anyMatch(x -> x.state() == s), s == state))
                        .toList(),
                Arrays.stream(Position.values())
                        .map(p -> row(p, set, current, sheet != null))
                        .toList(),
                set,
                figures,
                figures == null
                        ? OptionalDouble.empty()
                        : figures.wornRate(pocket ? PositionFigures.POCKET : PositionFigures.WRIST),
                sheet == null ? LiftAngle.ASSUMED_52 : sheet.data().liftAngle(),
                sheet == null ? null : sheet.data().beatsPerHour());
    }

    private static Position firstOpen(@Nullable ReadingSet set) {
        return Arrays.stream(Position.values())
                .filter(p -> set == null || set.in(p).isEmpty())
                .findFirst()
                .orElse(Position.DIAL_UP);
    }

    private static Row row(Position position, @Nullable ReadingSet set, Position current, boolean beatRateKnown) {
        Reading reading = set == null ? null : set.in(position).orElse(null);
        String band = "";
        String offset = "";
        if (reading != null && reading.amplitudeDegrees() != null && position.isHorizontal()) {
            band = Targets.amplitudeBand(reading.amplitudeDegrees().value());
        }
        if (beatRateKnown
                && reading != null
                && reading.amplitudeDegrees() != null
                && reading.beatErrorMillis() != null) {
            // M4: what the beat error means at the balance
            offset = "%.1f°"
                    .formatted(BeatErrorCure.jewelOffsetDegrees(
                            reading.beatRate(),
                            Amplitude.ofDegrees(reading.amplitudeDegrees().value()),
                            BeatError.ofMillis(reading.beatErrorMillis().value())));
        }
        String beat = reading == null || reading.beatErrorMillis() == null
                ? ""
                : Targets.beatErrorBand(reading.beatErrorMillis().value());
        return new Row(position, reading, band, beat, offset, position == current);
    }
}
