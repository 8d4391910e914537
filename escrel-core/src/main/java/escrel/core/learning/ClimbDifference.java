package escrel.core.learning;

import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.CalibreData;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.StemRelease;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/** What a job says of the stem, the setting and the way up that its sheet does not. */
final class ClimbDifference {
    private final CalibreSheet base;
    private final CalibreSheet learnt;

    ClimbDifference(CalibreSheet base, CalibreSheet learnt) {
        this.base = base;
        this.learnt = learnt;
    }

    /** Lubrication points the sheet does not have. */
    List<OilPoint> newPoints() {
        return learnt.oilPoints().stream()
                .filter(p -> base.oilPoint(p.code()).isEmpty())
                .toList();
    }

    /** How the stem is released, where the sheet says otherwise or nothing. */
    @Nullable
    StemRelease newRelease() {
        return Objects.equals(base.stemRelease(), learnt.stemRelease()) ? null : learnt.stemRelease();
    }

    /** What the balance runs in, where the sheet says otherwise or nothing. */
    CalibreData.@Nullable Setting newSetting() {
        CalibreData.Setting setting = learnt.data().setting();
        return setting == base.data().setting() || setting == CalibreData.Setting.NOT_SAID ? null : setting;
    }

    /** The sheet with the accepted points; one without tests takes those by which the movement was climbed. */
    CalibreSheet merged(CalibreSheet sheet, Set<String> codes, Predicate<OilPoint> accepted) {
        List<OilPoint> points = new ArrayList<>(sheet.oilPoints());
        newPoints().stream()
                .filter(accepted)
                .filter(p -> codes.contains(p.part()))
                .forEach(points::add);
        List<AssemblyTest> tests = sheet.tests().isEmpty()
                ? learnt.tests().stream().filter(t -> codes.contains(t.after())).toList()
                : sheet.tests();
        return sheet.withClimb(points, tests);
    }
}
