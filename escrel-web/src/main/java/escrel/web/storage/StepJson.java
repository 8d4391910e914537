package escrel.web.storage;

import escrel.core.assembly.TestMade;
import escrel.core.cleaning.Washed;
import escrel.core.handover.HandedOver;
import escrel.core.handover.Waived;
import escrel.core.learning.CameTogether;
import escrel.core.learning.HoldStated;
import escrel.core.learning.PartNamed;
import escrel.core.learning.PartRenamed;
import escrel.core.learning.Pinned;
import escrel.core.learning.ScrewsStated;
import escrel.core.learning.SidePhotographed;
import escrel.core.lubrication.OilSkipped;
import escrel.core.lubrication.Oiled;
import escrel.core.parts.Decided;
import escrel.core.parts.FindingRaised;
import escrel.core.parts.FragmentExplained;
import escrel.core.parts.FragmentFound;
import escrel.core.parts.Gauged;
import escrel.core.parts.Happened;
import escrel.core.parts.LeftOut;
import escrel.core.service.Arrival;
import escrel.core.service.CalibreBound;
import escrel.core.service.Noted;
import escrel.core.service.PhotoAdded;
import escrel.core.service.SchoolChosen;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import escrel.core.teardown.Eased;
import escrel.core.teardown.LeftFitted;
import escrel.core.teardown.PartOff;
import escrel.core.teardown.PartOn;
import escrel.core.teardown.StateSet;
import escrel.core.teardown.Visit;
import escrel.core.teardown.WayInPlanned;
import escrel.core.timing.readings.CompassTried;
import escrel.core.timing.readings.Demagnetised;
import escrel.core.timing.readings.DidNotRun;
import escrel.core.timing.readings.ReadingTaken;
import escrel.core.timing.readings.StoppedAfter;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;

/** Steps as JSON, each kind by a name that stays for good: files and databases of today are read by it tomorrow. */
public final class StepJson {
    private static final Map<String, Class<? extends Step>> KINDS = Map.ofEntries(
            Map.entry("arrival", Arrival.class),
            Map.entry("calibre-bound", CalibreBound.class),
            Map.entry("photo", PhotoAdded.class),
            Map.entry("note", Noted.class),
            Map.entry("taken-back", TakenBack.class),
            Map.entry("part-off", PartOff.class),
            Map.entry("part-on", PartOn.class),
            Map.entry("visit", Visit.class),
            Map.entry("reading", ReadingTaken.class),
            Map.entry("did-not-run", DidNotRun.class),
            Map.entry("compass", CompassTried.class),
            Map.entry("demagnetised", Demagnetised.class),
            Map.entry("stopped-after", StoppedAfter.class),
            Map.entry("finding", FindingRaised.class),
            Map.entry("decision", Decided.class),
            Map.entry("left-out", LeftOut.class),
            Map.entry("washed", Washed.class),
            Map.entry("oiled", Oiled.class),
            Map.entry("oil-skipped", OilSkipped.class),
            Map.entry("test", TestMade.class),
            Map.entry("waived", Waived.class),
            Map.entry("handed-over", HandedOver.class),
            Map.entry("school", SchoolChosen.class),
            Map.entry("left-fitted", LeftFitted.class),
            Map.entry("eased", Eased.class),
            Map.entry("state-set", StateSet.class),
            Map.entry("way-in", WayInPlanned.class),
            Map.entry("happened", Happened.class),
            Map.entry("gauged", Gauged.class),
            Map.entry("fragment", FragmentFound.class),
            Map.entry("fragment-explained", FragmentExplained.class),
            Map.entry("part-named", PartNamed.class),
            Map.entry("part-renamed", PartRenamed.class),
            Map.entry("hold", HoldStated.class),
            Map.entry("screws", ScrewsStated.class),
            Map.entry("together", CameTogether.class),
            Map.entry("pinned", Pinned.class),
            Map.entry("side-photo", SidePhotographed.class));
    private static final Map<Class<?>, String> NAMES =
            KINDS.entrySet().stream().collect(Collectors.toMap(Map.Entry::getValue, Map.Entry::getKey));

    private StepJson() {}

    /** The names of all kinds. */
    static Set<String> kinds() {
        return KINDS.keySet();
    }

    /** The name of a step's kind. */
    public static String kindOf(Step step) {
        return Optional.ofNullable(NAMES.get(step.getClass()))
                .orElseThrow(() -> new IllegalArgumentException("no name for steps of " + step.getClass()));
    }

    /** A step's body as text. */
    public static String write(Step step) {
        return Json.MAPPER.writeValueAsString(step);
    }

    /** A step from its kind and body. */
    public static Step read(String kind, String body) {
        return Json.MAPPER.readValue(body, classOf(kind));
    }

    /** A step from its kind and body. */
    public static Step read(String kind, JsonNode body) {
        return Json.MAPPER.treeToValue(body, classOf(kind));
    }

    private static Class<? extends Step> classOf(String kind) {
        return Optional.ofNullable(KINDS.get(kind))
                .orElseThrow(() -> new IllegalArgumentException("'" + kind + "' is no kind of step we know"));
    }
}
