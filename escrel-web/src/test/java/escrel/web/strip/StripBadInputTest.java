package escrel.web.strip;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.Group;
import escrel.core.calibre.Side;
import escrel.web.testing.BenchHand;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Stripped;
import escrel.web.testing.Visitor;
import java.net.http.HttpResponse;
import java.util.Arrays;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What the strip's rooms do not understand is refused plainly, and the job stands as it stood. */
class StripBadInputTest {
    private static final EscrelServer SERVER = EscrelServer.demo();

    private BenchHand hand;

    @BeforeEach
    void openAJob() {
        hand = new BenchHand(SERVER, Stripped.cv12(SERVER, 3));
    }

    private static Map<String, String> form(String fields) {
        return Arrays.stream(fields.split("&"))
                .map(f -> f.split("=", 2))
                .collect(Collectors.toMap(f -> f[0], f -> f.length > 1 ? f[1] : ""));
    }

    private void refused(HttpResponse<String> answer, int before, String words) {
        assertThat(answer.statusCode()).isBetween(400, 422);
        assertThat(answer.body()).contains(words).doesNotContain("Exception", "at escrel.", "Whitelabel");
        assertThat(hand.load().sequence()).isEqualTo(before);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "/strip/act | act=HELD_BY&part=dial&value=nothing | has no part “nothing”",
                "/strip/act | act=HELD_BY&part=case-back&value=stem | That would make a ring",
                "/strip/act | act=RENAME&part=dial&words= | Some words are wanted",
                "/strip/act | act=RENAME&part=no-part&words=x | has no part “no-part”",
                "/strip/act | act=MEASURED&part=dial&value=SPRING_WIDTH&words=thin | “thin” is no number between",
                "/strip/act | act=MEASURED&part=dial&value=COLOUR&words=3 | none of the choices",
                "/strip/act | act=LOOSENED&part=dial&words=99 | “99” is no number between 0.0 and 50.0",
                "/strip/act | act=NAME_KIND&value=TRAIN:99 | none of the choices",
                "/strip/act | act=NAME_KIND&value=WINGS:1 | none of the choices",
                "/strip/act | act=SCREWS&part=dial&value=many | none of the choices",
                "/strip/act | act=SCREWS_ARE&part=hour-wheel&value=HEAD:FLAT | Nothing is known of its screws yet",
                "/strip/act | act=SCREWS_ARE&part=dial&value=COLOUR:RED | none of the choices",
                "/strip/act | act=DESCRIBED&part=dial&value=LIES | Some words are wanted",
                "/strip/act | act=DESCRIBED&part=dial&value=WINGS:two | none of the choices",
                "/strip/act | act=PLACE&part=dial&words= | Some words are wanted",
                "/strip/act | act=CHOOSE&words=qqq | No part is called “qqq”",
                "/strip/act | act=FOUND&part=dial&value=:MEND | none of the choices",
                "/strip/act | act=FOUND&part=dial&value=WING/x:MEND:BENT | none of the choices",
                "/strip/act | act=FELT&part=dial&value=END_SHAKE | none of the choices",
                "/strip/act | act=CONFIRMED&part=dial&value=99&words=x | There is no open suspicion of step 99",
                "/strip/act | act=ANSWERED&part=dial&value=POWER:WISH | none of the choices",
                "/strip/act | act=ANSWERED&part=dial&value=SETTING | none of the choices",
                "/strip/act | act=STAYS_WITH&part=dial&value=dial | not pressed to itself",
                "/strip/act | act=HELD_BY&part=dial&words=wheel | may be ",
                "/strip/act | act=HELD_BY&part=dial&words=qqq | No part is called “qqq”",
                "/strip/off | part=dial&screws=MISSING:3 | 3 cannot be missing",
                "/strip/off | part=dial&screws=SINGING:1 | says nothing of screws",
                "/strip/off | part=dial&screws=MISSING:0 | says nothing of screws",
                "/strip/act | act=LOST&part=dial | is still on by the record",
                "/strip/act | act=LEFT_FITTED&part=case-back | is off already",
                "/strip/act | act=CAME_WITH&part=balance-cock&value=balance | came away with Balance with cock",
                "/strip/act | act=FLY_AWAY&part=dial | could not be read",
                "/strip/pin | part=dial&side=TRAIN&x=3&y=0 | The pin lies outside the movement",
                "/strip/pin | part=dial&side=TOP&x=0&y=0 | could not be read",
                "/plate | photo=7&side=TRAIN&centreX=0.5&centreY=0.5&radius=0.4 | There is no photo 7",
                "/way | target=no-part | has no part “no-part”",
                "/bind | calibre=no-such | There is no sheet “no-such”",
                "/schools | choice=NO_SUCH_SIDE | could not be read"
            })
    void isRefusedPlainly(String path, String fields, String words) {
        int before = hand.load().sequence();

        refused(hand.post(path, form(fields)), before, words);
    }

    @ParameterizedTest
    @ValueSource(strings = {"kind:WINGS", "length", "say:NOTHING", "mm", "nonsense", "kind:TRAIN:1"})
    void panelTypedByHandShowsAPageAllTheSame(String panel) {
        assertThat(hand.get("/strip?panel=" + panel).statusCode()).isEqualTo(200);
    }

    @Test
    void longWordsAreRefusedWithTheirLength() {
        refused(
                hand.post("/strip/act", Map.of("act", "OBSERVED", "part", "dial", "words", "x".repeat(1001))),
                hand.load().sequence(),
                "That is 1001 characters");
    }

    @Test
    void secondTabThatNamesPartsIsToldToLookAgain() {
        int job = new Visitor(SERVER.url()).openJob("Two tabs", "");
        BenchHand one = new BenchHand(SERVER, job);
        int seen = one.load().sequence();
        one.name("Bridge", Group.TRAIN, Side.TRAIN);
        HttpResponse<String> other = new Visitor(SERVER.url())
                .post(
                        "/jobs/" + job + "/strip/act",
                        Map.of("seq", seen, "act", "NAME_FREELY", "words", "Bridge", "side", "TRAIN"));

        assertThat(other.statusCode()).isEqualTo(409);
        assertThat(other.body()).contains("moved on in another tab");
        assertThat(one.load().movement().parts()).hasSize(1);
    }

    @Test
    void conflictingBindingIsRefused() {
        int job = new Visitor(SERVER.url()).openJob("Two names", "");
        BenchHand one = new BenchHand(SERVER, job);
        String a = one.name("Lid", Group.CASE, Side.TRAIN);
        String b = one.name("Cover", Group.CASE, Side.TRAIN);
        HttpResponse<String> answer = new Visitor(SERVER.url())
                .postRaw(
                        "/jobs/" + job + "/bind",
                        "seq=" + one.load().sequence() + "&calibre=cv-12&from=" + a + "&to=case-back&from=" + b
                                + "&to=case-back");

        assertThat(answer.body()).contains("Two working names are said to be “case-back”");
        assertThat(one.load().sheet()).isNull();
    }
}
