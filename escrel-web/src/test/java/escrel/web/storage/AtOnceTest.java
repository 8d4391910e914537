package escrel.web.storage;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.job.Workshop;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** Many at the same moment: each is done once, or told in words that another was first. */
class AtOnceTest {
    private static final int MANY = 24;

    private final EscrelServer server = EscrelServer.demo();

    private static List<HttpResponse<String>> together(List<Callable<HttpResponse<String>>> asked) throws Exception {
        ExecutorService threads = Executors.newFixedThreadPool(MANY);
        try {
            List<HttpResponse<String>> answers = new ArrayList<>();
            for (Future<HttpResponse<String>> answer : threads.invokeAll(asked)) {
                answers.add(answer.get());
            }
            return answers;
        } finally {
            threads.shutdown();
        }
    }

    private List<Callable<HttpResponse<String>>> many(Ask ask) {
        List<Callable<HttpResponse<String>>> all = new ArrayList<>();
        for (int i = 0; i < MANY; i++) {
            Visitor visitor = new Visitor(server.url());
            int which = i;
            all.add(() -> ask.ask(visitor, which));
        }
        return all;
    }

    private interface Ask {
        HttpResponse<String> ask(Visitor visitor, int which);
    }

    @Test
    void newJobsGetNumbersOfTheirOwn() throws Exception {
        List<HttpResponse<String>> answers = together(many((visitor, i) ->
                visitor.post("/jobs", Map.of("watch", "At once " + i, "owner", "Ferry", "stance", "SYMPATHETIC"))));

        assertThat(answers).allSatisfy(a -> assertThat(a.statusCode()).isEqualTo(200));
        Set<String> numbers = new TreeSet<>();
        answers.forEach(a -> numbers.add(a.uri().getPath()));
        assertThat(numbers).hasSize(MANY);
    }

    @Test
    void ofStepsFromTheSamePageOneIsRecordedAndTheOthersAreTold() throws Exception {
        Visitor first = new Visitor(server.url());
        int job = first.openJob("Same step", "cv-12");
        int seq = first.sequence(job);

        List<HttpResponse<String>> answers = together(many((visitor, i) ->
                visitor.post("/jobs/" + job + "/work", Map.of("seq", seq, "work", "REGULATE", "words", "as " + i))));

        assertThat(answers).extracting(HttpResponse::statusCode).containsOnly(200, 409);
        assertThat(answers.stream().filter(a -> a.statusCode() == 200)).hasSize(1);
        assertThat(server.bean(Workshop.class).load(job).sequence()).isEqualTo(seq + 1);
    }

    @Test
    void photosAtOnceKeepTheirNumbersApart() throws Exception {
        Visitor first = new Visitor(server.url());
        int job = first.openJob("Photos at once", "cv-12");
        byte[] picture = picture();
        List<HttpResponse<String>> answers = together(many((visitor, i) -> visitor.upload(
                "/jobs/" + job + "/photos",
                Map.of("seq", visitor.sequence(job), "caption", "photo " + i),
                "picture",
                "p.png",
                picture)));

        assertThat(answers).extracting(HttpResponse::statusCode).containsOnly(200);
        assertThat(server.bean(PhotoMapper.class).all(job)).hasSize(MANY);
    }

    private static byte[] picture() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB), "png", out);
        return out.toByteArray();
    }

    @Test
    void sheetsOfOneCalibreAtOnceBecomeVersionsOfIt() throws Exception {
        String sheet =
                new Visitor(server.url()).get("/calibres/p-8/sheet.json").body().replace("\"p-8\"", "\"at-once\"");
        List<HttpResponse<String>> answers = together(many((visitor, i) -> visitor.upload(
                "/calibres/import",
                Map.of(),
                "sheet",
                "s.json",
                sheet.replace("Pellworth P-8", "At once " + i).getBytes(java.nio.charset.StandardCharsets.UTF_8))));

        assertThat(answers).extracting(HttpResponse::statusCode).isSubsetOf(200, 409);
        assertThat(server.bean(SheetMapper.class).versions("at-once")).hasSize((int)
                answers.stream().filter(a -> a.statusCode() == 200).count());
    }
}
