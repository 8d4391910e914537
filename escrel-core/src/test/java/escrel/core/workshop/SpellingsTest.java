package escrel.core.workshop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class SpellingsTest {
    private static final WatchName OLD = new WatchName("Lamp timer", "Lamp room, Grey Pt");
    private static final WatchName NEW = new WatchName("Skarholt lamp-timer", "Lamp room, Grey Point");

    private static Spellings spellings(Step... acts) {
        List<RecordedStep> log = new ArrayList<>();
        for (Step act : acts) {
            log.add(new RecordedStep(log.size() + 1, Instant.EPOCH.plusSeconds(log.size()), act));
        }
        return WorkshopLog.of(log).spellings();
    }

    @Test
    void mergedSpellingsAreOneOwnerAlsoOverAnotherMerge() {
        Spellings spellings = spellings(new OwnersMerged("a", "b"), new OwnersMerged("b", "c"));

        assertThat(spellings.owner("a")).isEqualTo("c");
        assertThat(spellings.ofOwner("b"))
                .containsExactlyInAnyOrder("a", "b", "c")
                .startsWith("c");
        assertThat(spellings.owner("d")).isEqualTo("d");
    }

    @Test
    void laterMergeTheOtherWayTurnsItRoundAndNothingRunsInARing() {
        Spellings turned = spellings(new OwnersMerged("a", "b"), new OwnersMerged("b", "a"));
        assertThat(turned.owner("a")).isEqualTo("a");
        assertThat(turned.owner("b")).isEqualTo("a");
        Spellings ring = spellings(new OwnersMerged("a", "b"), new OwnersMerged("b", "c"), new OwnersMerged("c", "a"));
        assertThat(List.of(ring.owner("a"), ring.owner("b"), ring.owner("c"))).containsOnly("a");
    }

    @Test
    void mergeTakenBackParts() {
        assertThat(spellings(new OwnersMerged("a", "b"), new TakenBack(1)).ofOwner("a"))
                .containsExactly("a");
        assertThat(spellings(new WatchesMerged(OLD, NEW), new TakenBack(1)).ofWatch(OLD))
                .containsExactly(OLD);
    }

    @Test
    void watchKeepsItsHistoryUnderAnotherOwnerAndAnotherSpellingOfEither() {
        Spellings spellings =
                spellings(new WatchesMerged(OLD, NEW), new OwnersMerged("Lamp room, Grey Pt", "Lamp room, Grey Point"));

        assertThat(spellings.watch(OLD)).isEqualTo(NEW);
        assertThat(spellings.watch(NEW.of("Lamp room, Grey Pt"))).isEqualTo(NEW);
        assertThat(spellings.ofWatch(OLD)).contains(NEW, OLD, NEW.of("Lamp room, Grey Pt"));
        assertThat(spellings.ofWatch(new WatchName("Another", "Lamp room, Grey Point")))
                .as("another watch of theirs")
                .doesNotContain(NEW, OLD);
    }

    @Test
    void twoNamesDiffer() {
        assertThatThrownBy(() -> new OwnersMerged("a", "a")).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new WatchesMerged(OLD, OLD)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new WatchName(" ", "a")).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new WatchName("x".repeat(201), "a")).isInstanceOf(IllegalArgumentException.class);
    }
}
