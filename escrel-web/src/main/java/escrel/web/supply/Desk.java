package escrel.web.supply;

import escrel.core.supply.Want.State;
import escrel.web.format.Amount;
import escrel.web.storage.OpenWants;
import escrel.web.storage.SupplyMapper.Line;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Everything that is wanted, over all jobs: what the workshop has to do itself, what others owe it, each as a lane of time.
 *
 * @param groups in the order in which they are looked at
 * @param told what it all comes to, in sentences
 * @param look what of it is looked at
 */
record Desk(List<Group> groups, List<String> told, Look look) {
    /** Most things shown of a heading beside the others, and of one alone. */
    private static final int SOME = 12;

    private static final int ON_A_PAGE = 40;

    private static final int REACH = 35;
    private static final double WIDTH = 280;

    /** States that stand under one heading. */
    enum Heading {
        YOURS("For you to do", State.TO_CHECK, State.TO_FIT, State.TO_ORDER, State.TO_TAKE, State.TO_SEND),
        AWAITED("Waited for", State.ORDERED, State.OUT),
        CONDITION("Kept on a condition", State.CONDITION);

        private final String words;
        private final List<State> states;

        Heading(String words, State... states) {
            this.words = words;
            this.states = List.of(states);
        }

        /** The states that stand there. */
        List<String> states() {
            return states.stream().map(State::name).toList();
        }
    }

    /**
     * What is looked at: a heading alone, page by page, or the first things of each.
     *
     * @param only the one heading that is looked at; nothing where all are
     * @param page of that heading, from 0
     */
    record Look(@Nullable Heading only, int page) {
        private static final Pattern SAID = Pattern.compile(Arrays.stream(Heading.values())
                .map(Heading::name)
                .collect(Collectors.joining("|", "(&only=(", ")(&page=[0-9]{1,5})?)?")));

        /** As it goes on in an address after what is chosen; empty where all headings are looked at. */
        public String said() {
            return only == null ? "" : "&only=" + only + (page == 0 ? "" : "&page=" + page);
        }

        /** What a form sent back of {@link #said}; empty when it is none. */
        static String sentBack(@Nullable String said) {
            return said != null && SAID.matcher(said).matches() ? said : "";
        }

        List<List<String>> groups() {
            return only == null
                    ? Arrays.stream(Heading.values()).map(Heading::states).toList()
                    : List.of(only.states());
        }

        int from() {
            return only == null ? 0 : page * ON_A_PAGE;
        }

        int most() {
            return only == null ? SOME : ON_A_PAGE;
        }
    }

    /**
     * A heading with what stands under it.
     *
     * @param all how many stand there, shown or not
     */
    record Group(Heading heading, String words, List<Row> rows, int all) {}

    /**
     * A lane of time: from when it stands so to the day it was promised for.
     *
     * @param from left end of its bar
     * @param to right end of what has passed
     * @param promised where the day it is promised for lies; nothing without one
     * @param sooner whether it began before the lane does
     * @param farther whether it is promised for later than the lane reaches
     */
    record Lane(double from, double to, @Nullable Double promised, boolean late, boolean sooner, boolean farther) {
        /** Its shapes, drawn here since a page has many of them. */
        public String markup() {
            StringBuilder out = new StringBuilder(bar("lane-bar", from, to, 9, 8));
            if (promised != null) {
                out.append(late ? bar("lane-over", promised, to, 7, 12) : bar("lane-ahead", to, promised, 9, 8))
                        .append(String.format(Locale.ROOT, "<path class='lane-promise' d='M%.1f 2V24'/>", promised));
            }
            if (sooner) {
                out.append("<path class='lane-more' d='M7 8L2 13L7 18'/>");
            }
            if (farther) {
                out.append("<path class='lane-more' d='M273 8L278 13L273 18'/>");
            }
            return out.append("<path class='lane-today' d='M140 0V26'/>").toString();
        }

        private static String bar(String style, double from, double to, int top, int height) {
            return String.format(
                    Locale.ROOT,
                    "<rect class='%s' x='%.1f' y='%d' width='%.1f' height='%d'/>",
                    style,
                    from,
                    top,
                    Math.max(0, to - from),
                    height);
        }
    }

    /** One thing. */
    record Row(
            Line line,
            String key,
            State state,
            String waited,
            String promise,
            boolean late,
            Lane lane,
            boolean chosen) {
        /** For eyes that do not see the lane. */
        public String words() {
            return line.what() + ", job " + line.job() + " " + line.watch() + ": " + state.words() + " " + waited
                    + (promise.isEmpty() ? "" : ", " + promise);
        }
    }

    static Desk of(Look look, List<Line> lines, OpenWants.Sums sums, LocalDate today, @Nullable String chosen) {
        List<Row> rows = lines.stream().map(l -> row(l, today, chosen)).toList();
        List<Group> groups = Arrays.stream(Heading.values())
                .map(h -> new Group(
                        h,
                        h.words,
                        rows.stream().filter(r -> h.states.contains(r.state())).toList(),
                        count(sums, h)))
                .filter(g -> !g.rows().isEmpty())
                .toList();
        return new Desk(groups, told(sums.awaited(), today), look);
    }

    private static Row row(Line line, LocalDate today, @Nullable String chosen) {
        State state = State.valueOf(line.state());
        long days = days(line.since(), today);
        LocalDate expected = line.expected() == null ? null : LocalDate.parse(line.expected());
        boolean late = state.isAwaited() && expected != null && expected.isBefore(today);
        String key = line.job() + ":" + line.want();
        Double promised = expected == null || !state.isAwaited() ? null : x(ChronoUnit.DAYS.between(today, expected));
        Lane lane = new Lane(
                x(-days),
                x(0),
                promised,
                late,
                days > REACH,
                expected != null && ChronoUnit.DAYS.between(today, expected) > REACH);
        return new Row(
                line,
                key,
                state,
                waited(days),
                state.isAwaited() ? promise(expected, today) : "",
                late,
                lane,
                key.equals(chosen));
    }

    private static long days(OffsetDateTime since, LocalDate today) {
        LocalDate day = since.atZoneSameInstant(ZoneId.systemDefault()).toLocalDate();
        return Math.max(0, ChronoUnit.DAYS.between(day, today));
    }

    private static String waited(long days) {
        return days == 0 ? "since today" : days == 1 ? "since yesterday" : "for " + days + " days";
    }

    private static String promise(@Nullable LocalDate expected, LocalDate today) {
        if (expected == null) {
            return "no day promised";
        }
        long days = ChronoUnit.DAYS.between(today, expected);
        if (days < 0) {
            return -days == 1 ? "one day late" : -days + " days late";
        }
        return days == 0 ? "promised for today" : days == 1 ? "promised for tomorrow" : "promised in " + days + " days";
    }

    private static double x(long day) {
        long kept = Math.max(-REACH, Math.min(REACH, day));
        return (kept + REACH) * WIDTH / (2 * REACH);
    }

    private static List<String> told(OpenWants.Awaited all, LocalDate today) {
        if (all.oldest() == null) {
            return List.of();
        }
        List<String> told = new ArrayList<>();
        told.add("%d %s waited for, for %d %s, the longest %s (job %d)"
                .formatted(
                        all.wants(),
                        all.wants() == 1 ? "thing is" : "things are",
                        all.watches(),
                        all.watches() == 1 ? "watch" : "watches",
                        waited(days(all.oldest().since(), today)),
                        all.oldest().job()));
        if (all.late() > 0) {
            told.add(all.late() == 1 ? "one is late" : all.late() + " are late");
        }
        if (all.price().signum() > 0) {
            int unpriced = all.wants() - all.priced();
            told.add("on order for " + Amount.words(all.price().doubleValue())
                    + (unpriced > 0 ? ", " + unpriced + " without a price" : ""));
        }
        return told;
    }

    private static int count(OpenWants.Sums sums, Heading heading) {
        return heading.states.stream()
                .mapToInt(state -> sums.atState().getOrDefault(state, 0))
                .sum();
    }

    /** Whether there are more of the heading looked at after this page. */
    public boolean further() {
        return groups.stream().anyMatch(g -> g.heading() == look.only() && g.all() > (look.page() + 1) * ON_A_PAGE);
    }

    /** The rows in the order in which they stand. */
    public List<Row> rows() {
        return groups.stream().flatMap(g -> g.rows().stream()).toList();
    }

    /** The row before or after the chosen one; nothing beyond the ends. */
    @Nullable
    public String beside(int step) {
        List<Row> all = rows();
        for (int i = 0; i < all.size(); i++) {
            int there = i + step;
            if (all.get(i).chosen() && there >= 0 && there < all.size()) {
                return Objects.requireNonNull(all.get(there)).key();
            }
        }
        return null;
    }
}
