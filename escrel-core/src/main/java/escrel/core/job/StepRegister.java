package escrel.core.job;

import escrel.core.assembly.AssemblySteps;
import escrel.core.calibre.CalibreSheet;
import escrel.core.casework.CaseWorkSteps;
import escrel.core.cleaning.CleaningSteps;
import escrel.core.diagnosis.StopSteps;
import escrel.core.handover.HandoverSteps;
import escrel.core.learning.LearningSteps;
import escrel.core.lubrication.LubricationSteps;
import escrel.core.lume.LumeSteps;
import escrel.core.marks.MarkSteps;
import escrel.core.outside.OutsideSteps;
import escrel.core.owner.OwnerSteps;
import escrel.core.parts.PartsSteps;
import escrel.core.service.ServiceSteps;
import escrel.core.service.Step;
import escrel.core.service.StepKind;
import escrel.core.supply.SupplySteps;
import escrel.core.timing.readings.ReadingSteps;
import escrel.core.triage.TriageSteps;
import escrel.core.watchcase.CaseSteps;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Every kind of step there is, from what each concept declares. A new step needs its record and one declaration. */
public final class StepRegister {
    private static final Map<String, StepKind<?>> BY_NAME = Stream.of(
                    ServiceSteps.KINDS,
                    PartsSteps.KINDS,
                    LearningSteps.KINDS,
                    CleaningSteps.KINDS,
                    LubricationSteps.KINDS,
                    AssemblySteps.KINDS,
                    ReadingSteps.KINDS,
                    HandoverSteps.KINDS,
                    CaseSteps.KINDS,
                    MarkSteps.KINDS,
                    LumeSteps.KINDS,
                    OwnerSteps.KINDS,
                    TriageSteps.KINDS,
                    StopSteps.KINDS,
                    SupplySteps.KINDS,
                    OutsideSteps.KINDS,
                    CaseWorkSteps.KINDS)
            .flatMap(List::stream)
            .collect(Collectors.toMap(
                    StepKind::name,
                    Function.identity(),
                    (a, b) -> {
                        throw new IllegalStateException("two kinds of step are called " + a.name());
                    },
                    LinkedHashMap::new));
    private static final Map<Class<?>, StepKind<?>> BY_TYPE =
            BY_NAME.values().stream().collect(Collectors.toMap(StepKind::type, Function.identity()));

    private StepRegister() {}

    /** All kinds. */
    public static Collection<StepKind<?>> kinds() {
        return BY_NAME.values();
    }

    /** The kind of this name, if there is one. */
    public static Optional<StepKind<?>> named(String name) {
        return Optional.ofNullable(BY_NAME.get(name));
    }

    /**
     * The kind of a step.
     *
     * @throws IllegalArgumentException when no concept declares it
     */
    public static StepKind<?> kindOf(Step step) {
        return Optional.<StepKind<?>>ofNullable(BY_TYPE.get(step.getClass()))
                .orElseThrow(() -> new IllegalArgumentException("no concept declares steps of " + step.getClass()));
    }

    /** A step in a few words, as said when it is taken back or listed; a sheet gives parts their names. */
    public static String words(Step step, @Nullable CalibreSheet sheet) {
        return kindOf(step).wordsOf(step, new StepKind.Names(sheet));
    }

    /** Codes of the parts a step is about. */
    public static List<String> partsOf(Step step) {
        return kindOf(step).partsOf(step);
    }

    /** Whether a step is recorded and taken back in a room. */
    public static boolean isOf(String room, Step step) {
        return kindOf(step).rooms().contains(room);
    }
}
