package escrel.web.supply;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.core.service.TakenBack;
import escrel.core.supply.Want.State;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.storage.OpenWants;
import escrel.web.storage.OpenWants.Sums;
import escrel.web.storage.Sheets;
import escrel.web.storage.SupplyMapper;
import escrel.web.testing.BenchHand;
import escrel.web.testing.EscrelServer;
import java.time.LocalDate;
import java.util.Map;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import javax.sql.DataSource;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;

/** What all jobs want is held and moved on: after whatever happens it is what the table says, added up anew. */
class OpenWantsTest {
    private final EscrelServer server = EscrelServer.empty();
    private final Workshop workshop = server.bean(Workshop.class);
    private final OpenWants open = server.bean(OpenWants.class);
    private final JdbcTemplate jdbc = new JdbcTemplate(server.bean(DataSource.class));
    private final OpenJob waiting = EscrelServer.demo().bean(Workshop.class).load(5);
    private int first;
    private BenchHand hand;

    @BeforeEach
    void twoWatchesWait() {
        server.bean(Sheets.class).keep(BenchHand.demoSheet(waiting.sheet().id()));
        first = kept();
        kept();
        hand = new BenchHand(server, first);
    }

    @AfterEach
    void close() {
        server.close();
    }

    private int kept() {
        return workshop.keep(
                0, waiting.openedAt().toInstant(), waiting.recorded().recorded());
    }

    /** The sums, once they are seen to be those of the table. */
    private Sums sums() {
        LocalDate today = LocalDate.now();
        Sums sums = open.sums(today);
        IntFunction<String> awaited = column -> "select "
                + new String[] {"count(*)", "count(distinct job)", "count(price)"}[column]
                + " from job_want where state in ('ORDERED', 'OUT')";
        assertThat(sums.awaited().wants()).isEqualTo(counted(awaited.apply(0)));
        assertThat(sums.awaited().watches()).isEqualTo(counted(awaited.apply(1)));
        assertThat(sums.awaited().priced()).isEqualTo(counted(awaited.apply(2)));
        assertThat(sums.awaited().late()).isEqualTo(counted(awaited.apply(0) + " and expected < '" + today + "'"));
        Map<State, Integer> states =
                jdbc.queryForList("select state, count(*) as n from job_want group by state").stream()
                        .collect(Collectors.toMap(
                                r -> State.valueOf((String) r.get("state")), r -> ((Long) r.get("n")).intValue()));
        states.keySet().removeIf(State::isOver);
        assertThat(sums.atState()).isEqualTo(states);
        return sums;
    }

    private int counted(String sql) {
        return jdbc.queryForObject(sql, Integer.class);
    }

    private String key(String part) {
        return hand.load().job().supply().wants().stream()
                .filter(w -> part.equals(w.part()))
                .findFirst()
                .orElseThrow()
                .key();
    }

    private int orderOf(String part) {
        return hand.load().job().supply().want(key(part)).orElseThrow().order();
    }

    @Test
    void actsAndWhatIsTakenBackMoveThem() {
        assertThat(sums().awaited().wants()).isEqualTo(4);
        assertThat(sums().awaited().watches()).isEqualTo(2);
        int came = hand.load().sequence() + 1;

        hand.post(
                "/wants/" + key("third-wheel") + "/came",
                Map.of("judgement", "RIGHT", "order", orderOf("third-wheel")));
        assertThat(sums().awaited().wants()).isEqualTo(3);
        workshop.append(first, hand.load().sequence(), new TakenBack(came));
        assertThat(sums().awaited().wants()).isEqualTo(4);

        String late = key("crown-wheel");
        hand.post(
                "/wants/" + late + "/put-off",
                Map.of("expected", LocalDate.now().plusDays(9), "order", orderOf("crown-wheel")));
        assertThat(sums().awaited().late()).isEqualTo(1);
        hand.post("/wants/" + late + "/call-off", Map.of("words", "sold out", "order", orderOf("crown-wheel")));
        hand.post(
                "/wants/" + key("third-wheel") + "/call-off",
                Map.of("words", "closed", "order", orderOf("third-wheel")));
        assertThat(sums().awaited().watches()).isEqualTo(1);
        assertThat(sums().awaited().oldest().job()).isNotEqualTo(first);
    }

    @Test
    void watchFromAnotherComputerAddsToThem() {
        assertThat(sums().awaited().watches()).isEqualTo(2);
        kept();
        assertThat(sums().awaited().watches()).isEqualTo(3);
    }

    /** Asked in the middle of what is then given up: nothing of it is kept. */
    @Test
    void whatIsGivenUpDoesNotCount() {
        sums();
        int seq = hand.load().sequence();
        assertThatThrownBy(() -> server.bean(TransactionTemplate.class).executeWithoutResult(status -> {
                    workshop.append(first, seq, new TakenBack(seq));
                    open.sums(LocalDate.now());
                    throw new IllegalStateException("given up");
                }))
                .hasMessage("given up");
        assertThat(hand.load().sequence()).isEqualTo(seq);
        assertThat(sums().awaited().wants()).isEqualTo(4);
    }

    @Test
    void tableWrittenAnewIsReadAnew() {
        Sums before = sums();
        SupplyMapper mapper = server.bean(SupplyMapper.class);
        mapper.clearWants();
        open.allChanged();
        assertThat(sums().awaited().oldest()).isNull();
        assertThat(before.awaited().oldest()).isNotNull();
    }

    /** As when an upgrade reads every job into its lines anew. */
    @Test
    void manyChangedAtOnceAreReadTogether() {
        assertThat(sums().awaited().watches()).isEqualTo(2);
        jdbc.update("delete from job_want where job = ?", first);
        for (int job = 1_000; job < 1_200; job++) {
            open.changed(job);
        }
        assertThat(sums().awaited().watches()).isEqualTo(1);
    }
}
