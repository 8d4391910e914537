package escrel.web.storage;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.Error;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Shape;
import escrel.core.calibre.Side;
import escrel.core.calibre.SidePicture;
import escrel.core.job.StepRegister;
import escrel.core.service.StepKind;
import escrel.web.demo.PlanPicture;
import escrel.web.media.MediaStore;
import escrel.web.testing.BenchHand;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** The published schemas say of files what the application says. */
class SchemaTest {
    private static final EscrelServer SERVER = EscrelServer.demo();

    private final Visitor visitor = new Visitor(SERVER.url());

    private List<Error> faults(String schema, String json) {
        Schema read = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(visitor.get("/formats/" + schema + ".schema.json").body(), InputFormat.JSON);
        return read.validate(json, InputFormat.JSON);
    }

    @ParameterizedTest
    @ValueSource(strings = {"cv-12", "cv-24", "cv-28", "cv-33", "l-43", "p-8"})
    void everySheetGivenOutIsValid(String id) {
        assertThat(faults(
                        "sheet", visitor.get("/calibres/" + id + "/sheet.json").body()))
                .isEmpty();
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 3, 5, 6, 8, 17, 22})
    void everyDossierGivenOutIsValid(int job) {
        assertThat(faults(
                        "dossier", visitor.get("/jobs/" + job + "/dossier.json").body()))
                .isEmpty();
    }

    @Test
    void schemaRefusesWhatTheReaderRefuses() {
        String sound = SchemaFiles.sound();

        assertThat(faults("sheet", sound)).isEmpty();
        assertThat(faults("sheet", sound.replace("\"side\":\"DIAL\"", "\"side\":\"TOP\"")))
                .isNotEmpty();
        assertThat(faults("sheet", sound.replace("\"version\":" + SheetJson.VERSION, "\"version\":9")))
                .isNotEmpty();
        assertThat(faults("sheet", sound.replace("\"jewels\":17", "\"jewels\":\"many\"")))
                .isNotEmpty();
    }

    /** Every kind of drawing the program knows is in the schema, and nothing else. */
    @Test
    void kindsOfDrawingAreThoseOfTheProgram() {
        JsonNode schema =
                Json.MAPPER.readTree(visitor.get("/formats/sheet.schema.json").body());
        JsonNode kinds = schema.at("/properties/parts/items/properties/shape/anyOf/0/properties/kind/enum");

        assertThat(kinds.valueStream().map(JsonNode::asString))
                .containsExactlyElementsOf(
                        Arrays.stream(Shape.Kind.values()).map(Enum::name).toList());
    }

    /** A kind of step that the schema did not know would make our own dossiers invalid. */
    @Test
    void kindsOfStepAreThoseOfTheProgram() {
        JsonNode schema =
                Json.MAPPER.readTree(visitor.get("/formats/dossier.schema.json").body());

        assertThat(schema.at("/properties/steps/items/properties/kind/enum")
                        .valueStream()
                        .map(JsonNode::asString))
                .containsExactlyInAnyOrderElementsOf(
                        StepRegister.kinds().stream().map(StepKind::name).collect(java.util.stream.Collectors.toSet()));
    }

    @Test
    void sheetWithPicturesComesBackAsItWent() {
        try (EscrelServer one = EscrelServer.empty();
                EscrelServer other = EscrelServer.empty()) {
            CalibreSheet bare = BenchHand.demoSheet("p-8");
            one.bean(SheetPictureMapper.class)
                    .insert(
                            "p-8",
                            1,
                            "image/jpeg",
                            one.bean(MediaStore.class).keep(PlanPicture.of(bare, Side.TRAIN, c -> false)));
            one.bean(Sheets.class)
                    .keep(bare.called(
                            "p-8",
                            bare.name(),
                            bare.data(),
                            List.of(new SidePicture(1, Side.TRAIN, "whole", 0.5, 0.5, 0.42))));
            String given =
                    new Visitor(one.url()).get("/calibres/p-8/sheet.json").body();
            assertThat(faults("sheet", given)).isEmpty();

            Visitor there = new Visitor(other.url());
            there.upload("/calibres/import", Map.of(), "sheet", "p-8.json", given.getBytes(StandardCharsets.UTF_8));
            String back = there.get("/calibres/p-8/sheet.json").body();
            assertThat(Json.MAPPER.readTree(back)).isEqualTo(Json.MAPPER.readTree(given));
        }
    }

    /** A sound sheet as text. */
    private static final class SchemaFiles {
        static String sound() {
            return SheetJson.write(BenchHand.demoSheet("cv-12")).toString();
        }
    }
}
