package escrel.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import escrel.web.room.Rooms;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.apache.ibatis.annotations.Mapper;
import org.junit.jupiter.api.Tag;
import org.springframework.context.annotation.Conditional;
import org.springframework.stereotype.Controller;

@Tag("long")
@AnalyzeClasses(packages = "escrel.web", importOptions = ImportOption.DoNotIncludeTests.class)
class WallsTest {
    private static final List<String> ROOMS =
            Rooms.packages().stream().map(name -> "escrel.web." + name).toList();

    /** The floors from the top down: each may lean on those after it. Photos also gives pictures out. */
    private static final List<String> FLOORS = Stream.of(
                    "chart", "ladder", "plan", "list", "upkeep", "stores", "job", "photos", "sound", "room", "storage",
                    "ground", "media", "disk", "answers", "format")
            .map(name -> "escrel.web." + name)
            .toList();

    @ArchTest
    static void floorsLeanOnlyOnWhatLiesBelow(JavaClasses classes) {
        for (int i = 0; i < FLOORS.size(); i++) {
            List<String> above = new ArrayList<>(FLOORS.subList(0, i));
            above.addAll(ROOMS);
            above.add("escrel.web.demo");
            noClasses()
                    .that()
                    .resideInAPackage(FLOORS.get(i))
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage(above.toArray(String[]::new))
                    .because("a floor does not lean on what stands on it")
                    .check(classes);
        }
    }

    @ArchTest
    static final ArchRule NO_PART_HAS_A_CONDITION = noClasses()
            .should()
            .beMetaAnnotatedWith(Conditional.class)
            .because("which parts there are is worked out when the application is built, before any setting is known");

    @ArchTest
    static final ArchRule MAPPERS_ARE_PUBLIC = classes()
            .that()
            .areAnnotatedWith(Mapper.class)
            .should()
            .bePublic()
            .because("what is worked out when the application is built names them from elsewhere");

    /** Every package has its place in the house. */
    @ArchTest
    static final ArchRule NOTHING_STANDS_OUTSIDE = classes()
            .should()
            .resideInAnyPackage(Stream.of(ROOMS, FLOORS, List.of("escrel.web", "escrel.web.demo", "escrel.web.cli"))
                    .flatMap(List::stream)
                    .toArray(String[]::new))
            .because("rooms are declared in escrel.web.room.Rooms, floors here");

    @ArchTest
    static void roomsDoNotKnowRooms(JavaClasses classes) {
        for (String room : ROOMS) {
            String[] others = ROOMS.stream().filter(r -> !r.equals(room)).toArray(String[]::new);
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

    /** A page is asked for in a room, and no room is forgotten in their declaration. */
    @ArchTest
    static final ArchRule PAGES_ARE_MADE_IN_ROOMS = classes()
            .that()
            .areAnnotatedWith(Controller.class)
            .should()
            .resideInAnyPackage(Stream.concat(ROOMS.stream(), Stream.of("escrel.web.photos"))
                    .toArray(String[]::new))
            .because("rooms are declared once, in escrel.web.room.Rooms");

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
