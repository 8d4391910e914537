package escrel.core.learning;

import escrel.core.calibre.CalibreData;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.StemRelease;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Figures, stem card and lubrication points as they were said on the bench, laid on a sheet. What was said counts where the
 * sheet states nothing: a job begun without one may be bound to a sheet that knows better.
 */
final class LearntFigures {
    private LearntFigures() {}

    static CalibreSheet on(
            CalibreSheet sheet, Map<FigureSaid.Figure, String> figures, Collection<OilPointSaid> points) {
        CalibreSheet with = points.isEmpty() ? sheet : sheet.withClimb(points(sheet, points), sheet.tests());
        return figures.isEmpty() ? with : with.withFigures(data(sheet, figures), release(sheet, figures));
    }

    private static CalibreData data(CalibreSheet sheet, Map<FigureSaid.Figure, String> figures) {
        if (sheet.data().setting() != CalibreData.Setting.NOT_SAID) {
            return sheet.data();
        }
        String setting = figures.get(FigureSaid.Figure.SETTING);
        return Arrays.stream(CalibreData.Setting.values())
                .filter(s -> s.name().equals(setting))
                .findFirst()
                .map(s -> sheet.data().withSetting(s))
                .orElse(sheet.data());
    }

    private static @Nullable StemRelease release(CalibreSheet sheet, Map<FigureSaid.Figure, String> figures) {
        String kind = figures.get(FigureSaid.Figure.STEM_RELEASE);
        String crown = figures.get(FigureSaid.Figure.CROWN_POSITION);
        StemRelease known = sheet.stemRelease();
        if (known == null && kind == null && crown == null) {
            return null;
        }
        StemRelease old = known == null ? new StemRelease("", "", "", "", "") : known;
        return new StemRelease(
                stated(old.kind(), kind), stated(old.crownPosition(), crown), old.tool(), old.turns(), old.warning());
    }

    private static String stated(String onSheet, @Nullable String said) {
        return onSheet.isEmpty() && said != null ? said : onSheet;
    }

    private static List<OilPoint> points(CalibreSheet sheet, Collection<OilPointSaid> said) {
        List<OilPoint> points = new ArrayList<>(sheet.oilPoints());
        for (OilPointSaid point : said) {
            boolean known = points.stream().anyMatch(p -> p.code().equals(point.code()));
            sheet.part(point.part())
                    .filter(part -> !known)
                    .ifPresent(part -> points.add(new OilPoint(
                            point.code(),
                            point.name(),
                            part.code(),
                            part.side(),
                            point.lubricant(),
                            point.amount(),
                            part.code(),
                            null,
                            part.shape() == null ? 0 : part.shape().middle()[0],
                            part.shape() == null ? 0 : part.shape().middle()[1],
                            "said in the act")));
        }
        return points;
    }
}
