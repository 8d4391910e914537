package escrel.core.marks;

import escrel.core.service.RecordedStep;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** The number tables of the workshop, and what they say of a watch's numbers. */
public final class Years {
    private final Map<String, YearsKept> tables = new LinkedHashMap<>();

    private Years() {}

    /** The tables after these acts. */
    public static Years of(List<RecordedStep> acts) {
        Years years = new Years();
        for (RecordedStep entry : acts) {
            if (entry.step() instanceof YearsKept kept) {
                if (kept.rows().isEmpty()) {
                    years.tables.remove(kept.key());
                } else {
                    years.tables.put(kept.key(), kept);
                }
            }
        }
        return years;
    }

    /** All of them. */
    public List<YearsKept> all() {
        return List.copyOf(tables.values());
    }

    /**
     * What the tables say of the numbers on a watch, each held against the dates that stand on the same.
     *
     * @param maker as the arrival names it
     */
    public List<Marks.Comparison> of(String maker, List<MarkSeen> marks) {
        List<Marks.Comparison> all = new ArrayList<>();
        for (MarkSeen mark : marks) {
            YearsKept table = tables.get(maker.strip().toLowerCase(Locale.ROOT) + "|" + mark.on());
            if (mark.kind() != MarkSeen.Kind.NUMBER || table == null) {
                continue;
            }
            table.of(mark.text()).ifPresent(span -> all.add(compared(mark, span, table, marks)));
        }
        return all;
    }

    private static Marks.Comparison compared(
            MarkSeen number, YearsKept.Span span, YearsKept table, List<MarkSeen> marks) {
        String what = "number " + number.text() + ": " + span.words();
        String from = "by " + table.certainty().words();
        List<MarkSeen> dates = marks.stream()
                .filter(m -> m.kind() == MarkSeen.Kind.DATE && m.on() == number.on())
                .toList();
        for (MarkSeen date : dates) {
            if (!span.holds(MarkDate.of(date.text()).year())) {
                return new Marks.Comparison(Marks.Verdict.DIFFERS, what, from + "; the date on it says " + date.text());
            }
        }
        return new Marks.Comparison(
                dates.isEmpty() ? Marks.Verdict.CANNOT_BE_TOLD : Marks.Verdict.AGREES,
                what,
                dates.isEmpty() ? from + "; no date on it to hold it against" : from + ", and the date on it");
    }
}
