package escrel.web.log;

import escrel.core.job.StepFields;
import escrel.core.parts.FindingRaised;
import escrel.core.service.PartOff;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Step;
import escrel.core.service.StepKind;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What a step should have said, as the page sends it; a field that was not sent leaves what was there.
 *
 * @param said by the path of the field; screws by their state behind {@value #SCREW}, a state left out is none
 */
record CorrectForm(Map<String, String> said) {
    static final String SCREW = "screw-";
    private static final String INTACT = "intact";

    /** Whether a step can be said otherwise here. */
    static boolean isCorrectable(Step step) {
        return !StepFields.of(step).isEmpty();
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

    /**
     * The step with what was said otherwise.
     *
     * @throws IllegalArgumentException in words when something cannot be so
     */
    Step on(Step step) {
        Step is = StepFields.with(step, said);
        boolean screws = said.keySet().stream().anyMatch(f -> f.startsWith(SCREW));
        if (screws && is instanceof PartOff off) {
            return new PartOff(
                    off.part(),
                    off.asFound(),
                    found(off.screws()),
                    off.plan(),
                    off.note(),
                    off.inSpiteOf(),
                    off.screwsCounted(),
                    off.letDown());
        }
        return is;
    }

    /** What is not told apart by kind is said anew; what was stays. */
    private ScrewsFound found(ScrewsFound was) {
        if (said.containsKey(INTACT)) {
            return ScrewsFound.AS_FACTORY_LEFT;
        }
        List<ScrewsFound.Odd> odd = new ArrayList<>(
                was.odd().stream().filter(o -> o.length() != null).toList());
        for (ScrewsFound.State how : ScrewsFound.State.values()) {
            String count = said.getOrDefault(SCREW + how.name(), "");
            if (count.matches("[0-9]{1,2}") && !count.matches("0+")) {
                odd.add(new ScrewsFound.Odd(how, Integer.parseInt(count), null, null));
            }
        }
        return new ScrewsFound(false, odd);
    }

    /** Of fields that come several times, as ticks do, all values. */
    static CorrectForm of(Map<String, List<String>> sent) {
        Map<String, String> said = new HashMap<>();
        sent.forEach((field, values) -> said.put(field, String.join(" ", values)));
        return new CorrectForm(said);
    }
}
