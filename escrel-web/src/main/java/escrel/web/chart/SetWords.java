package escrel.web.chart;

import escrel.core.timing.readings.Chronograph;
import escrel.core.timing.readings.DeviceClock;
import escrel.core.timing.readings.Fitted;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.Source;
import escrel.core.timing.readings.Wound;
import escrel.web.format.Show;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** Sets of readings in words: which occasion it was, and what the clocks behind the rates are worth. */
public final class SetWords {
    private static final Show SHOW = new Show();

    private SetWords() {}

    /** A state in words. */
    public static String of(ReadingState state) {
        return switch (state) {
            case FINAL_UNCASED -> "final, uncased";
            case FINAL_CASED -> "final, cased";
            default -> SHOW.words(state);
        };
    }

    /** An occasion in words: state, what was fitted, how far wound when not fully, the chronograph when it ran. */
    public static String of(ReadingSet set) {
        List<String> parts = new ArrayList<>();
        parts.add(of(set.state()));
        if (set.fitted() != null && set.state() != ReadingState.FINAL_CASED) {
            parts.add(set.fitted() == Fitted.NOT_SAID ? "not said what was fitted" : SHOW.words(set.fitted()));
        }
        if (set.wound() == Wound.AFTER_HOURS && set.woundHours() != null) {
            parts.add("wound " + SHOW.trim(set.woundHours()) + " h ago");
        } else if (set.wound() != null && set.wound() != Wound.FULL) {
            parts.add("wound " + SHOW.wound(set.wound()));
        }
        if (set.chronograph() == Chronograph.RUNNING) {
            parts.add("chronograph running");
        }
        if (set.time() > 1) {
            parts.add(set.time() == 2 ? "second time" : set.time() == 3 ? "third time" : set.time() + "th time");
        }
        return String.join(", ", parts);
    }

    /** What is to be said of the clocks behind the rates of these sets; empty when none came from sound. */
    public static List<String> clocks(List<ReadingSet> sets) {
        Set<String> sentences = new LinkedHashSet<>();
        Set<String> devices = new LinkedHashSet<>();
        for (ReadingSet set : sets) {
            for (Reading reading : set.byPosition().values()) {
                // a simulated pick-up keeps exact time, and that a reading is simulated is said elsewhere
                if (reading.source() != Source.RECORDING) {
                    continue;
                }
                DeviceClock clock = reading.clock();
                if (clock != null && clock.calibrated()) {
                    devices.add(clock.device());
                    sentences.add("Device clock of “%s” corrected by %+.1f ± %.1f ppm; ± %.2f s/d shared by its rates"
                            .formatted(clock.device(), clock.ppm(), clock.doubtPpm(), clock.doubtSecondsPerDay())
                            .replace('-', '−'));
                } else {
                    devices.add(clock == null ? "" : clock.device());
                    sentences.add("Device clock not calibrated: all rates share an unknown offset of up to several s/d,"
                            + " which cancels between readings of one device");
                }
            }
        }
        if (devices.size() > 1) {
            sentences.add("Heard through more than one device: between them their clocks do not cancel");
        }
        return List.copyOf(sentences);
    }
}
