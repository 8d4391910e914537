package escrel.web.log;

import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.learning.PartNamed;
import escrel.core.parts.FindingRaised;
import escrel.core.parts.Gauged;
import escrel.core.service.Noted;
import escrel.core.service.PartOff;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Step;
import escrel.core.service.StepKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What a step should have said, as the page sends it; a field that was not sent leaves what was there.
 *
 * @param screws how many in each state; a state left out is none
 */
record CorrectForm(
        @Nullable String part,
        @Nullable Grade grade,
        @Nullable Defect defect,
        @Nullable Origin origin,
        @Nullable String words,
        @Nullable String name,
        @Nullable Double millimetres,
        PartOff.@Nullable Plan plan,
        boolean intact,
        @Nullable Map<String, Integer> screws) {
    /** Whether a step can be said otherwise here. */
    static boolean isCorrectable(Step step) {
        return step instanceof PartOff
                || step instanceof FindingRaised
                || step instanceof Noted
                || step instanceof PartNamed
                || step instanceof Gauged;
    }

    /** What a step says besides its words in the log. */
    static String details(Step step) {
        if (step instanceof PartOff off) {
            String screws = off.screws().words();
            return ", " + StepKind.said(off.asFound()) + (screws.isEmpty() ? "" : "; screws: " + screws)
                    + (off.plan() == PartOff.Plan.REPLACE ? "; to be replaced" : "")
                    + (off.note().isEmpty() ? "" : "; " + off.note());
        }
        return step instanceof FindingRaised raised
                ? ", " + StepKind.said(raised.grade()) + ", origin " + StepKind.said(raised.origin())
                : "";
    }

    /** The step with what was said otherwise. */
    Step on(Step step) {
        if (step instanceof PartOff off) {
            return new PartOff(
                    or(part, off.part()),
                    or(grade, off.asFound()),
                    screws == null ? off.screws() : found(off.screws()),
                    or(plan, off.plan()),
                    text(words, off.note()),
                    off.inSpiteOf(),
                    off.screwsCounted(),
                    off.letDown());
        }
        if (step instanceof FindingRaised raised) {
            return new FindingRaised(
                    part == null ? raised.part() : part.isEmpty() ? null : part,
                    or(grade, raised.grade()),
                    or(defect, raised.defect()),
                    or(origin, raised.origin()),
                    text(words, raised.words()),
                    raised.place());
        }
        if (step instanceof Noted noted) {
            return new Noted(noted.part(), text(words, noted.words()));
        }
        if (step instanceof PartNamed named) {
            return new PartNamed(
                    named.code(),
                    text(name, named.name()),
                    named.group(),
                    named.side(),
                    named.role(),
                    named.hazards(),
                    named.unit());
        }
        Gauged gauged = (Gauged) step;
        return new Gauged(gauged.part(), gauged.what(), or(millimetres, gauged.millimetres()));
    }

    /** What is not told apart by kind is said anew; what was stays. */
    private ScrewsFound found(ScrewsFound was) {
        if (intact) {
            return ScrewsFound.AS_FACTORY_LEFT;
        }
        List<ScrewsFound.Odd> odd = new ArrayList<>(
                was.odd().stream().filter(o -> o.length() != null).toList());
        for (ScrewsFound.State how : ScrewsFound.State.values()) {
            Integer count = screws == null ? null : screws.get(how.name());
            if (count != null && count > 0) {
                odd.add(new ScrewsFound.Odd(how, count, null, null));
            }
        }
        return new ScrewsFound(false, odd);
    }

    private static <T> T or(@Nullable T said, T was) {
        return said == null ? was : said;
    }

    private static String text(@Nullable String said, String was) {
        return said == null ? was : said.strip();
    }
}
