package escrel.core.parts;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.job.StepRegister;
import org.junit.jupiter.api.Test;

/** What the undo key and the log call a finding. */
class FindingWordsTest {
    private final CalibreSheet sheet = Calibres.small();
    private final String part = sheet.parts().get(0).code();
    private final String name = sheet.parts().get(0).name();

    private String words(String onPart, Defect defect, String words) {
        return StepRegister.words(new FindingRaised(onPart, Grade.MEND, defect, Origin.WEAR, words), sheet);
    }

    @Test
    void namesThePartAndTheDefectWhereNothingElseWasSaid() {
        assertThat(words(part, Defect.WORN, "")).isEqualTo("finding on " + name + ": worn");
    }

    @Test
    void saysWhatExactlyAndNothingTwice() {
        assertThat(words(part, Defect.WORN, "at the rim")).isEqualTo("finding on " + name + ": worn: at the rim");
        assertThat(words(part, Defect.WORN, "Worn at the rim")).isEqualTo("finding on " + name + ": Worn at the rim");
        assertThat(words(null, Defect.OTHER, "smells of smoke")).isEqualTo("finding: smells of smoke");
        assertThat(words(part, Defect.OTHER, "")).isEqualTo("finding on " + name);
    }
}
