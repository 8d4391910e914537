package escrel.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;

@AnalyzeClasses(packages = "escrel.core", importOptions = ImportOption.DoNotIncludeTests.class)
class WallsTest {
    @ArchTest
    static final ArchRule NO_RINGS = slices().matching("escrel.core.(**)")
            .should()
            .beFreeOfCycles()
            .because("each concept leans only on those named before it");

    @ArchTest
    static final ArchRule PURE = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "org.springframework..", "java.sql..", "org.apache.ibatis..", "tools.jackson..", "com.fasterxml..")
            .because("core knows the craft, not the web, the database or a file format");

    @ArchTest
    static final ArchRule NO_CLOCK = noClasses()
            .should()
            .callMethod(Instant.class, "now")
            .orShould()
            .callMethod(LocalDate.class, "now")
            .orShould()
            .dependOnClassesThat()
            .areAssignableTo(Clock.class)
            .because("core is handed its time");
}
