package escrel.web.dossier;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.job.Workshop;
import escrel.web.media.MediaStore;
import escrel.web.storage.Json;
import escrel.web.storage.PhotoMapper;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.ObjectNode;

/** A job that was given out comes back as the same job, with its photos and sounds, and with what is new shown first. */
@Tag("long")
class DossierReturnTest {
    private static final Pattern WAITING = Pattern.compile("name=\"waiting\" value=\"([0-9a-f-]+)\"");

    private static byte[] zip(EscrelServer server, int job) {
        try {
            HttpResponse<byte[]> answer = HttpClient.newHttpClient()
                    .send(
                            HttpRequest.newBuilder(URI.create(server.url() + "/jobs/" + job + "/dossier.zip"))
                                    .build(),
                            HttpResponse.BodyHandlers.ofByteArray());
            assertThat(answer.statusCode()).isEqualTo(200);
            return answer.body();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private static HttpResponse<String> take(Visitor visitor, byte[] dossier) {
        return visitor.upload("/jobs/import", Map.of(), "dossier", "d.zip", dossier);
    }

    private static void note(Visitor visitor, int job, String words) {
        visitor.post("/jobs/" + job + "/notes", Map.of("seq", visitor.sequence(job), "words", words));
    }

    private static void photo(Visitor visitor, int job) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(new BufferedImage(80, 60, BufferedImage.TYPE_INT_RGB), "png", out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        visitor.upload(
                "/jobs/" + job + "/photos",
                Map.of("seq", visitor.sequence(job), "caption", "new photo"),
                "picture",
                "p.png",
                out.toByteArray());
    }

    private static String waiting(HttpResponse<String> page) {
        Matcher found = WAITING.matcher(page.body());
        assertThat(found.find()).as("a file that waits").isTrue();
        return found.group(1);
    }

    @Test
    void zipWithPhotosAndSoundComesBackEqualInAnotherWorkshop() {
        try (EscrelServer other = EscrelServer.empty()) {
            Visitor home = new Visitor(EscrelServer.demo().url());
            Visitor there = new Visitor(other.url());
            for (int job : new int[] {1, 2, 3}) {
                assertThat(take(there, zip(EscrelServer.demo(), job)).body()).contains("was taken in as job " + job);
                assertThat(there.get("/jobs/" + job + "/dossier.json").body())
                        .isEqualTo(home.get("/jobs/" + job + "/dossier.json").body());
                assertThat(there.get("/jobs/" + job + "/film").statusCode()).isEqualTo(200);
            }
        }
    }

    @Test
    void jobThatWentOnElsewhereIsShownAndAddedTo() {
        try (EscrelServer one = EscrelServer.empty();
                EscrelServer other = EscrelServer.empty()) {
            Visitor here = new Visitor(one.url());
            Visitor there = new Visitor(other.url());
            int job = here.openJob("Travelling watch", "");
            take(there, zip(one, job));
            note(there, job, "the wheel cutter measured it");
            photo(there, job);
            byte[] back = zip(other, job);
            int before = here.sequence(job);

            HttpResponse<String> shown = take(here, back);

            assertThat(shown.body())
                    .contains(
                            "This is job " + job + ": Travelling watch",
                            "2 steps are new",
                            "the wheel cutter measured it");
            assertThat(here.sequence(job))
                    .as("nothing is taken before it was looked at")
                    .isEqualTo(before);
            here.post("/jobs/import/known", Map.of("waiting", waiting(shown), "apart", "false"));
            assertThat(here.get("/jobs/" + job + "/dossier.json").body())
                    .isEqualTo(there.get("/jobs/" + job + "/dossier.json").body());
            assertThat(one.bean(PhotoMapper.class).all(job)).hasSize(1);

            assertThat(take(here, back).body()).contains("This job is here already, with everything the dossier holds");
            assertThat(here.post("/jobs/import/known", Map.of("waiting", waiting(shown), "apart", "false"))
                            .statusCode())
                    .as("what was taken does not wait any more")
                    .isEqualTo(422);
        }
    }

    @Test
    void jobThatWentOnInBothPlacesIsOnlyTakenApart() {
        try (EscrelServer one = EscrelServer.empty();
                EscrelServer other = EscrelServer.empty()) {
            Visitor here = new Visitor(one.url());
            Visitor there = new Visitor(other.url());
            int job = here.openJob("Parted watch", "");
            take(there, zip(one, job));
            note(here, job, "said here");
            note(there, job, "said there");

            HttpResponse<String> shown = take(here, zip(other, job));

            assertThat(shown.body()).contains("gone on both here and elsewhere").doesNotContain("Add what is new");
            assertThat(here.post("/jobs/import/known", Map.of("waiting", waiting(shown), "apart", "false"))
                            .statusCode())
                    .isEqualTo(422);
            shown = take(here, zip(other, job));
            here.post("/jobs/import/known", Map.of("waiting", waiting(shown), "apart", "true"));
            assertThat(here.get("/jobs/" + (job + 1) + "/dossier.json").body()).contains("said there");
            assertThat(here.get("/jobs/" + job + "/dossier.json").body()).doesNotContain("said there");
        }
    }

    @Test
    void damagedZipIsRefusedAndLeavesNothingBehind() {
        try (EscrelServer one = EscrelServer.empty()) {
            Visitor here = new Visitor(one.url());
            byte[] whole = zip(EscrelServer.demo(), 3);
            for (int part : new int[] {4, 500, whole.length / 2, whole.length * 9 / 10}) {
                HttpResponse<String> answer = take(here, java.util.Arrays.copyOf(whole, part));
                assertThat(answer.statusCode()).as("of %d bytes", part).isEqualTo(422);
                assertThat(answer.body()).contains("Nothing was taken in");
            }
            byte[] spoilt = whole.clone();
            spoilt[whole.length - 9_000] ^= 1;
            assertThat(take(here, spoilt).statusCode()).isEqualTo(422);
            assertThat(one.bean(MediaStore.class).names()).isEmpty();
            assertThat(here.get("/jobs.json").body()).isEqualTo("[]");
        }
    }

    @Test
    void sheetThatComesAlongWaitsUntilItIsAccepted() {
        try (EscrelServer one = EscrelServer.empty()) {
            Visitor here = new Visitor(one.url());
            take(here, zip(EscrelServer.demo(), 5));
            assertThat(here.get("/jobs/5/strip").body()).contains("Third wheel");
            assertThat(here.get("/calibres").body()).contains("From elsewhere", "Corvane CV-12", "Look at it");
            assertThat(here.get("/calibres/cv-12/versions/1").body())
                    .contains("it would be the first", "used by job", "Accept as ours");
            assertThat(here.get("/calibres/cv-12").statusCode()).isEqualTo(422);

            here.post("/calibres/cv-12/accept", Map.of("version", "1"));

            assertThat(here.get("/calibres/cv-12").statusCode()).isEqualTo(200);
            assertThat(here.get("/calibres").body()).doesNotContain("From elsewhere");
            assertThat(here.post("/calibres/cv-12/accept", Map.of("version", "1"))
                            .statusCode())
                    .isEqualTo(422);
        }
    }

    @Test
    void refusedDossierLeavesNoSheetAndNoNumberBehind() {
        try (EscrelServer one = EscrelServer.empty()) {
            Visitor here = new Visitor(one.url());
            ObjectNode spoilt = (ObjectNode)
                    Json.MAPPER.readTree(new Visitor(EscrelServer.demo().url())
                            .get("/jobs/5/dossier.json")
                            .body());
            ObjectNode last =
                    (ObjectNode) spoilt.path("steps").get(spoilt.path("steps").size() - 1);
            last.put("kind", "part-off").putObject("step").put("part", "no such part");

            HttpResponse<String> answer = take(here, spoilt.toString().getBytes(StandardCharsets.UTF_8));

            assertThat(answer.statusCode()).isEqualTo(422);
            assertThat(here.get("/calibres").body())
                    .contains("The library is empty")
                    .doesNotContain("From elsewhere");
            int job = here.openJob("First of its own", "");
            assertThat(job).isEqualTo(1);
            assertThat(one.bean(Workshop.class).load(1).sheet()).isNull();
        }
    }

    /** The rooms as a person knows them; one that is added is rehearsed without being named anywhere. */
    @Test
    void rehearsalMakesThePagesOfEveryRoom() {
        assertThat(EscrelServer.demo().bean(Rehearsal.class).pages())
                .contains(
                        "/jobs/{number}/arrival",
                        "/jobs/{number}/readings",
                        "/jobs/{number}/desk",
                        "/jobs/{number}/strip",
                        "/jobs/{number}/climb",
                        "/jobs/{number}/turn",
                        "/jobs/{number}/handover",
                        "/jobs/{number}/report.pdf",
                        "/jobs/{number}/readings.csv")
                .doesNotContain("/jobs/{number}/dossier.zip", "/jobs/{number}/dossier.json");
    }
}
