package escrel.web.arrival;

import escrel.core.MendableException;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.service.Arrival;
import escrel.core.service.Step;
import escrel.core.watchcase.CaseBound;
import escrel.core.watchcase.CaseSaid;
import escrel.core.watchcase.CaseSheet;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.storage.CaseSheets;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Says in which case a watch sits, and what is so of it whatever its sheet says. */
@Component
class CaseActions {
    private final Workshop workshop;
    private final CaseSheets cases;

    CaseActions(Workshop workshop, CaseSheets cases) {
        this.workshop = workshop;
        this.cases = cases;
    }

    /** What a new job knows of its case: the sheet of its reference, where there is one, and what was said on arrival. */
    List<Step> onArrival(Arrival arrival, @Nullable String opens, @Nullable String crown) {
        List<Step> steps = new ArrayList<>();
        cases.byReference(arrival.maker(), arrival.reference())
                .ifPresent(row -> steps.add(new CaseBound(row.id(), row.version())));
        said(CaseSaid.Fact.OPENS, opens, steps);
        said(CaseSaid.Fact.SCREW_DOWN_CROWN, crown, steps);
        return steps;
    }

    private static void said(CaseSaid.Fact fact, @Nullable String value, List<Step> steps) {
        if (value != null && !value.isEmpty() && !value.equals(CaseSaid.NOT_SAID)) {
            try {
                steps.add(new CaseSaid(fact, value));
            } catch (IllegalArgumentException e) {
                throw refuse("“" + value + "” is nothing a case can be");
            }
        }
    }

    /**
     * Binds the watch to a case.
     *
     * @param id of its sheet
     */
    @Transactional
    public void bind(int number, int seq, String id) {
        OpenJob job = workshop.load(number);
        job.requireSequence(seq);
        int version = cases.latestVersion(id);
        CaseSheet other = cases.find(id, version).orElseThrow(() -> refuse("There is no case “" + id + "”"));
        List<String> lost = job.movement().parts().stream()
                .filter(CaseSheet::isOfCase)
                .filter(p -> !p.code().equals(CalibreSheet.CASED)
                        && job.job().lives().isOff(p.code()))
                .filter(p -> other.part(p.code()).isEmpty() && job.caseSheet() != null)
                .map(Part::name)
                .toList();
        if (!lost.isEmpty()) {
            throw new MendableException(
                    lost.stream().collect(Collectors.joining(", ")) + " of the present case lies in the tray, and a "
                            + other.name() + " has no such part",
                    "The watch keeps the case it had.",
                    "Put these on again or take their steps back, then choose the other case.");
        }
        workshop.append(number, seq, new CaseBound(id, version));
    }

    /** Records what is so of this watch's case; only what is said otherwise than before. */
    @Transactional
    public void say(int number, int seq, String opens, String crown) {
        OpenJob job = workshop.load(number);
        List<Step> steps = new ArrayList<>();
        try {
            changed(job, new CaseSaid(CaseSaid.Fact.OPENS, opens), steps);
            changed(job, new CaseSaid(CaseSaid.Fact.SCREW_DOWN_CROWN, crown), steps);
        } catch (IllegalArgumentException e) {
            throw refuse("A case opens in none of these ways, or its crown is said in none");
        }
        if (!steps.isEmpty()) {
            workshop.append(number, seq, steps);
        }
    }

    private static void changed(OpenJob job, CaseSaid said, List<Step> steps) {
        if (!value(job, said.fact()).equals(said.value())) {
            steps.add(said);
        }
    }

    /** What was said last of a fact. */
    static String value(OpenJob job, CaseSaid.Fact fact) {
        return job.history()
                .all(CaseSaid.class)
                .filter(s -> s.fact() == fact)
                .reduce((a, b) -> b)
                .map(CaseSaid::value)
                .orElse(CaseSaid.NOT_SAID);
    }

    private static MendableException refuse(String what) {
        return new MendableException(what, "Nothing was recorded.", "Choose from the list and send it again.");
    }
}
