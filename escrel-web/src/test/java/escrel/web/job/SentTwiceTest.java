package escrel.web.job;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.service.Noted;
import escrel.core.service.PhotoAdded;
import escrel.core.service.RecordedStep;
import escrel.web.storage.JobMapper;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** What a person sends twice by a slip is there once, and nobody is told that it was not recorded. */
class SentTwiceTest {
    private final EscrelServer server = EscrelServer.demo();
    private final Visitor visitor = new Visitor(server.url());

    private Map<String, Object> act(int job, Map<String, ?> fields) {
        Map<String, Object> form = new HashMap<>(fields);
        form.put("seq", visitor.sequence(job));
        return form;
    }

    private List<RecordedStep> steps(int job) {
        return server.bean(Workshop.class).load(job).recorded().recorded();
    }

    @Test
    void aStepIsRecordedOnceAndAnsweredTwice() {
        int job = visitor.openJob("Tidewell P-650", "cv-12");
        Map<String, Object> off = act(job, Map.of("part", "case-back"));
        int before = steps(job).size();

        HttpResponse<String> first = visitor.post("/jobs/" + job + "/strip/off", off);
        HttpResponse<String> second = visitor.post("/jobs/" + job + "/strip/off", off);

        assertThat(first.statusCode()).isEqualTo(200);
        assertThat(second.statusCode()).isEqualTo(200);
        assertThat(second.body()).doesNotContain("another tab");
        assertThat(steps(job)).hasSize(before + 1);
    }

    @Test
    void anotherStepFromTheSamePageIsStillRefused() {
        int job = visitor.openJob("Tidewell P-651", "cv-12");
        Map<String, Object> agreed = act(job, Map.of("work", "REGULATE", "words", "one"));
        visitor.post("/jobs/" + job + "/work", agreed);
        agreed.put("words", "another");

        assertThat(visitor.post("/jobs/" + job + "/work", agreed).statusCode()).isEqualTo(409);
    }

    @Test
    void aStepThatWasTakenBackMayBeRecordedAgain() {
        int job = visitor.openJob("Tidewell P-652", "cv-12");
        Map<String, String> words = Map.of("work", "REGULATE", "words", "one");
        visitor.post("/jobs/" + job + "/work", act(job, words));
        visitor.post("/jobs/" + job + "/undo", act(job, Map.of("room", "ARRIVAL")));
        int before = steps(job).size();

        visitor.post("/jobs/" + job + "/work", act(job, words));

        assertThat(steps(job)).hasSize(before + 1);
    }

    @Test
    void ofManyAtTheSameMomentOneIsRecorded() throws Exception {
        int job = visitor.openJob("Tidewell P-653", "cv-12");
        Map<String, Object> off = act(job, Map.of("work", "REGULATE", "words", "one"));
        int before = steps(job).size();
        List<Callable<Integer>> all = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            all.add(() -> visitor.post("/jobs/" + job + "/work", off).statusCode());
        }
        ExecutorService pool = Executors.newFixedThreadPool(all.size());
        try {
            for (Future<Integer> answer : pool.invokeAll(all)) {
                assertThat(answer.get()).isEqualTo(200);
            }
        } finally {
            pool.shutdown();
        }

        assertThat(steps(job)).hasSize(before + 1);
    }

    @Test
    void aFormForANewJobOpensOneJob() {
        Map<String, String> form = Map.of(
                "watch", "Tidewell P-654", "owner", "mate of P-654", "stance", "SYMPATHETIC", "identity", identity());

        String first = visitor.post("/jobs", form).uri().getPath();
        String second = visitor.post("/jobs", form).uri().getPath();

        assertThat(second).isEqualTo(first);
        assertThat(server.bean(JobMapper.class).ofOwner("mate of P-654")).hasSize(1);
    }

    /** The page of a new job is gone back to, and another watch typed over the first. */
    @Test
    void anotherWatchOnTheSameFormIsAnotherJob() {
        Map<String, String> form = new HashMap<>(Map.of(
                "watch", "Tidewell P-655", "owner", "mate, Auk", "stance", "SYMPATHETIC", "identity", identity()));
        String first = visitor.post("/jobs", form).uri().getPath();
        form.put("watch", "Tidewell P-656");

        assertThat(visitor.post("/jobs", form).uri().getPath()).isNotEqualTo(first);
    }

    private static String identity() {
        return UUID.randomUUID().toString();
    }

    /** One takes pictures with a telephone while the other goes on at the bench. */
    @Test
    void notesAndPhotosNeedNoFreshPage() throws IOException {
        int job = visitor.openJob("Tidewell P-657", "cv-12");
        Map<String, Object> note = act(job, Map.of("words", "a chip at 4"));
        Map<String, Object> photo = act(job, Map.of("caption", "back"));
        visitor.post("/jobs/" + job + "/work", act(job, Map.of("work", "REGULATE", "words", "")));

        assertThat(visitor.post("/jobs/" + job + "/notes", note).statusCode()).isEqualTo(200);
        for (int sent = 0; sent < 2; sent++) {
            HttpResponse<String> answer =
                    visitor.upload("/jobs/" + job + "/photos", photo, "picture", "back.png", picture(0));
            assertThat(answer.statusCode()).isEqualTo(200);
        }

        assertThat(steps(job)).filteredOn(s -> s.step() instanceof Noted).hasSize(1);
        assertThat(steps(job)).filteredOn(s -> s.step() instanceof PhotoAdded).hasSize(1);
    }

    /** From one page, called alike and as long as each other, but two pictures. */
    @Test
    void anotherPictureOfTheSameLengthIsAnother() throws IOException {
        int job = visitor.openJob("Tidewell P-658", "cv-12");
        Map<String, Object> photo = act(job, Map.of("caption", "back"));
        byte[] one = picture(0x102030);
        byte[] other = picture(0x302010);
        assertThat(other).hasSameSizeAs(one).isNotEqualTo(one);

        visitor.upload("/jobs/" + job + "/photos", photo, "picture", "back.png", one);
        visitor.upload("/jobs/" + job + "/photos", photo, "picture", "back.png", other);

        assertThat(steps(job)).filteredOn(s -> s.step() instanceof PhotoAdded).hasSize(2);
    }

    private static byte[] picture(int colour) throws IOException {
        BufferedImage image = new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB);
        image.setRGB(7, 7, colour);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }
}
