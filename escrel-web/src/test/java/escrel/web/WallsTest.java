package escrel.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.util.Arrays;

@AnalyzeClasses(packages = "escrel.web", importOptions = ImportOption.DoNotIncludeTests.class)
class WallsTest {
    private static final String[] ROOMS = {
        "escrel.web.today..",
        "escrel.web.find..",
        "escrel.web.undo..",
        "escrel.web.arrival..",
        "escrel.web.readings..",
        "escrel.web.strip..",
        "escrel.web.inspection..",
        "escrel.web.washing..",
        "escrel.web.climb..",
        "escrel.web.turn..",
        "escrel.web.handover..",
        "escrel.web.calibres..",
        "escrel.web.dossier..",
        "escrel.web.desk..",
        "escrel.web.devices..",
        "escrel.web.safe..",
        "escrel.web.simulated.."
    };

    @ArchTest
    static void roomsDoNotKnowRooms(JavaClasses classes) {
        for (String room : ROOMS) {
            String[] others = Arrays.stream(ROOMS).filter(r -> !r.equals(room)).toArray(String[]::new);
            noClasses()
                    .that()
                    .resideInAPackage(room)
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage(others)
                    .because("what two rooms need goes down to a shared floor")
                    .check(classes);
        }
    }

    @ArchTest
    static final ArchRule NO_RINGS = slices().matching("escrel.web.(*)..")
            .should()
            .beFreeOfCycles()
            .because("a floor does not lean on what stands on it");

    @ArchTest
    static final ArchRule SIMULATOR_ONLY_IN_THE_DEMO_AND_BEHIND_ITS_OWN_DOOR = noClasses()
            .that()
            .resideOutsideOfPackages("escrel.web.demo..", "escrel.web.simulated..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("escrel.simulator..")
            .because("the application knows devices by their doors, not their stand-ins");
}
