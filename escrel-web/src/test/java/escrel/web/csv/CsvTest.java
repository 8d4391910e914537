package escrel.web.csv;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Readings as CSV: out and in again, and those of other machines by a mapping that is remembered. */
class CsvTest {
    private static final String FOREIGN = "Messlage;Gang [s/d];Amplitude;Beat\r\n9H;+4,5;262;0,3\r\nCH;-2;270;0,4\r\n";

    private final Visitor visitor = new Visitor(EscrelServer.demo().url());
    private int job;

    @BeforeEach
    void openAJob() {
        job = visitor.openJob("CSV watch", "cv-12");
    }

    private HttpResponse<String> upload(String csv) {
        return visitor.upload(
                "/jobs/" + job + "/readings/import",
                Map.of("seq", visitor.sequence(job)),
                "file",
                "readings.csv",
                csv.getBytes(StandardCharsets.UTF_8));
    }

    private String export(int number) {
        return visitor.get("/jobs/" + number + "/readings.csv").body();
    }

    @ParameterizedTest
    @CsvSource({"1", "2", "4", "9", "17"})
    void whatGoesOutComesInTheSame(int from) {
        String out = export(from);
        assertThat(out.lines().count()).isGreaterThan(6);

        upload(out);

        assertThat(export(job)).isEqualTo(out);
    }

    @Test
    void aFaultNamesRowAndColumnAndNothingIsTakenIn() {
        String good = export(9);
        String bad = good.replaceFirst("(?m)(\r\n(?:.*\r\n){2}AS_RECEIVED,[^\r]*?),DD,[^,]*,", "$1,DD,fast,");
        String wrong = bad.equals(good) ? good.replace(",DD,", ",XX,") : bad;

        HttpResponse<String> answer = upload(wrong);

        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).containsPattern("Row 3, column “(rate_seconds_per_day|position)”");
        assertThat(export(job).lines()).hasSize(1);
    }

    private HttpResponse<String> mapped(String text, String rate) {
        return visitor.postRaw(
                "/jobs/" + job + "/readings/mapped",
                "seq=" + visitor.sequence(job)
                        + "&state=RUN_IN&fitted=CASED&wound=FULL&positionColumn=Messlage&rateColumn=" + rate
                        + "&amplitudeColumn=Amplitude&beatErrorColumn=Beat&word=9H&means=CROWN_LEFT&word=CH&means=DIAL_UP"
                        + "&text=" + java.net.URLEncoder.encode(text, StandardCharsets.UTF_8));
    }

    @Test
    void anotherMachinesFileIsMappedAndTheMappingRemembered() {
        assertThat(upload(FOREIGN).body()).contains("Which column means what?", "the mapping is remembered", "9H");

        mapped(FOREIGN, "Gang+%5Bs%2Fd%5D");

        assertThat(export(job))
                .contains("RUN_IN,CASED,FULL,,NOT_SAID,CL,4.500", "RUN_IN,CASED,FULL,,NOT_SAID,DU,-2.000", "IMPORTED");
        assertThat(upload(FOREIGN).body())
                .contains("was taken in before")
                .containsPattern("value=\"Gang \\[s/d\\]\"[^>]*selected");
    }

    @Test
    void aFaultInAnotherMachinesFileNamesRowAndColumn() {
        HttpResponse<String> answer = mapped(FOREIGN.replace("-2", "slow"), "Gang+%5Bs%2Fd%5D");

        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("Row 3, column “Gang [s/d]”", "“slow” is no number");
        assertThat(export(job).lines()).hasSize(1);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"''|The file is empty", "a,b\\n1,2,3|Row 2, column “b”", "position,rate\\nDU,1|Which column"})
    void oddFilesAreSaidToBeOdd(String text, String words) {
        assertThat(upload(text.replace("\\n", "\n")).body()).contains(words);
    }

    /** As a spreadsheet of another country saves our own file. */
    @ParameterizedTest
    @ValueSource(strings = {";", "\t"})
    void oursComesBackWithAnotherSeparatorAndAByteOrderMark(String separator) {
        String out = export(9);

        upload("\ufeff" + out.replace(",", separator));

        assertThat(export(job)).isEqualTo(out);
    }

    @Test
    void typedTextsAreNoFormulasAndComeBackAsTheyWere() {
        String typed = "=HYPERLINK(\"x\")";
        visitor.post(
                "/jobs/" + job + "/readings/typed",
                Map.of(
                        "seq", visitor.sequence(job),
                        "state", "AS_RECEIVED",
                        "position", "DIAL_UP",
                        "rate", "3",
                        "note", typed));
        String out = export(job);
        assertThat(out).contains(",\"'=HYPERLINK").doesNotContain(",=", ",\"=");

        int other = visitor.openJob("Other", "cv-12");
        visitor.upload(
                "/jobs/" + other + "/readings/import",
                Map.of("seq", visitor.sequence(other)),
                "file",
                "r.csv",
                out.getBytes(StandardCharsets.UTF_8));

        assertThat(visitor.get("/jobs/" + other + "/dossier.json").body()).contains("\"=HYPERLINK(\\\"x\\\")\"");
    }

    @Test
    void wordForAPositionNobodyKnowsIsAskedForAndNeverTakenForDialUp() {
        String text = "pos;rate\nzwölf;1\nDU;2\n";
        assertThat(upload(text).body()).contains("say which", "zwölf");

        HttpResponse<String> answer = visitor.postRaw(
                "/jobs/" + job + "/readings/mapped",
                "seq=" + visitor.sequence(job)
                        + "&state=RUN_IN&fitted=CASED&wound=FULL&positionColumn=pos&rateColumn=rate&word=DU&means=DIAL_UP"
                        + "&word=zw%C3%B6lf&means=&text=" + java.net.URLEncoder.encode(text, StandardCharsets.UTF_8));

        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("it is not said which position “zwölf” means");
        assertThat(export(job).lines()).hasSize(1);
    }

    @Test
    void readingOfAMovementWhoseBeatNobodyKnowsClaimsNone() {
        int unknown = visitor.openJob("Unknown beat", "");
        visitor.post(
                "/jobs/" + unknown + "/readings/typed",
                Map.of("seq", visitor.sequence(unknown), "state", "AS_RECEIVED", "position", "DIAL_UP", "rate", "3"));

        assertThat(export(unknown)).contains("DU,3.000").doesNotContain("18000");
        assertThat(visitor.get("/jobs/" + unknown + "/readings").statusCode()).isEqualTo(200);
        assertThat(visitor.get("/jobs/" + unknown + "/turn").statusCode()).isEqualTo(200);
    }
}
