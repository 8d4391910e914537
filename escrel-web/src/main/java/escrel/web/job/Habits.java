package escrel.web.job;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import escrel.core.school.Choice;
import escrel.core.school.School;
import escrel.core.school.Schools;
import escrel.web.storage.AfterTransaction;
import escrel.web.storage.SchoolMapper;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** The schools that hold: the workshop's, then those of a calibre, then those of a job. */
@Component
public class Habits {
    /** Scope of what the workshop chose for everything. */
    public static final String WORKSHOP = "";

    private static final int SCOPES = 500;

    private final SchoolMapper mapper;
    /** Every page asks for them, and they change a few times a year. */
    private final Cache<String, Schools> read =
            Caffeine.newBuilder().maximumSize(SCOPES).executor(Runnable::run).build();
    /** How often a choice was changed: what was read before is not kept after. */
    private final AtomicLong changes = new AtomicLong();

    Habits(SchoolMapper mapper) {
        this.mapper = mapper;
    }

    /** What was chosen for a scope: the workshop, or a calibre by its id. */
    public List<Choice> chosen(String scope) {
        return known(mapper.choices(scope).stream());
    }

    /** A choice of a later version that we do not know is left aside. */
    private static List<Choice> known(Stream<String> names) {
        return names.flatMap(name ->
                        Arrays.stream(Choice.values()).filter(c -> c.name().equals(name)))
                .toList();
    }

    /** The schools for a calibre; those of the workshop when it is not known. */
    public Schools of(@Nullable String calibre) {
        String scope = calibre == null ? WORKSHOP : calibre;
        if (TransactionSynchronizationManager.hasResource(this)) {
            // what this transaction chose is its own until it is committed
            return read(scope);
        }
        long before = changes.get();
        Schools known = read.getIfPresent(scope);
        if (known != null) {
            return known;
        }
        Schools schools = read(scope);
        read.asMap().compute(scope, (s, old) -> changes.get() == before ? schools : old);
        return schools;
    }

    private Schools read(String scope) {
        List<SchoolMapper.Chosen> all = mapper.choicesUpTo(scope);
        Schools workshop = Schools.DEFAULT.with(known(in(all, WORKSHOP)));
        return scope.equals(WORKSHOP) ? workshop : workshop.with(known(in(all, scope)));
    }

    private static Stream<String> in(List<SchoolMapper.Chosen> all, String scope) {
        return all.stream().filter(c -> c.scope().equals(scope)).map(SchoolMapper.Chosen::choice);
    }

    /** Takes a side for a scope. */
    @Transactional
    public void choose(String scope, Choice choice) {
        change();
        mapper.forget(scope, choice.school().name());
        mapper.insert(scope, choice.school().name(), choice.name());
    }

    /** Goes back to what holds otherwise. */
    @Transactional
    public void forget(String scope, School school) {
        change();
        mapper.forget(scope, school.name());
    }

    private void change() {
        if (TransactionSynchronizationManager.hasResource(this)) {
            return;
        }
        TransactionSynchronizationManager.bindResource(this, true);
        AfterTransaction.run(() -> {
            TransactionSynchronizationManager.unbindResourceIfPossible(this);
            changes.incrementAndGet();
            read.invalidateAll();
        });
    }
}
