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
        CalibreData.@Nullable Setting setting,
        CalibreData.@Nullable Stud stud) {
    CalibreData data() {
        CalibreData.Setting known = setting == null ? CalibreData.Setting.NONE : setting;
        return new CalibreData(
                diameter == null ? 0 : diameter,
                beats == null ? 0 : beats,
                lift,
                jewels == null ? 0 : jewels,
                known,
                stud == null ? CalibreData.Stud.FIXED : stud,
                known == CalibreData.Setting.NONE
                        ? WatchClass.VINTAGE_NO_SHOCK_SETTING
                        : WatchClass.VINTAGE_SHOCK_SETTING,
                "learnt at this bench");
    }
}
