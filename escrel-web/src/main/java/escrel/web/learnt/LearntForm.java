package escrel.web.learnt;

import escrel.core.calibre.CalibreData;
import escrel.core.calibre.WatchClass;
import org.jspecify.annotations.Nullable;

/**
 * Figures of a calibre that had no sheet.
 *
 * @param id short name in addresses
 */
record LearntForm(
        @Nullable String id,
        @Nullable String name,
        @Nullable Double diameter,
        @Nullable Double beats,
        @Nullable Double lift,
        @Nullable Integer jewels,
        @Nullable WatchClass watchClass,
        CalibreData.@Nullable Setting setting,
        CalibreData.@Nullable Stud stud) {
    CalibreData data() {
        return new CalibreData(
                diameter == null ? 0 : diameter,
                beats,
                lift,
                jewels == null ? 0 : jewels,
                setting == null ? CalibreData.Setting.NOT_SAID : setting,
                stud == null ? CalibreData.Stud.NOT_SAID : stud,
                watchClass,
                "learnt at this bench");
    }
}
