package escrel.web.storage;

import escrel.core.calibre.CalibreSheet;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The calibre library. A new sheet of a known calibre becomes its next version; jobs keep the one they were done with. */
@Component
public class Sheets {
    private final SheetMapper mapper;
    private final Clock clock;
    private final Map<String, CalibreSheet> read = new ConcurrentHashMap<>();

    Sheets(SheetMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /** Keeps a sheet and returns its version; one equal to the latest version is not kept twice. */
    @Transactional
    public int keep(CalibreSheet sheet) {
        int latest = mapper.latestVersion(sheet.id());
        String text = SheetJson.write(sheet).toString();
        if (latest > 0 && mapper.find(sheet.id(), latest).filter(text::equals).isPresent()) {
            return latest;
        }
        mapper.insert(sheet.id(), latest + 1, sheet.name(), text, OffsetDateTime.now(clock));
        return latest + 1;
    }

    /** A version of a sheet. Versions never change, so each is read once. */
    public Optional<CalibreSheet> find(String calibre, int version) {
        String key = calibre + "#" + version;
        CalibreSheet known = read.get(key);
        if (known != null) {
            return Optional.of(known);
        }
        Optional<CalibreSheet> found = mapper.find(calibre, version).map(SheetJson::read);
        found.ifPresent(sheet -> read.put(key, sheet));
        return found;
    }

    /** The newest version of a sheet. */
    public Optional<CalibreSheet> latest(String calibre) {
        return find(calibre, mapper.latestVersion(calibre));
    }

    /** Number of the newest version, 0 for a calibre without a sheet. */
    public int latestVersion(String calibre) {
        return mapper.latestVersion(calibre);
    }

    /** The newest version of every sheet, by name. */
    public List<SheetMapper.SheetRow> all() {
        return mapper.latest();
    }
}
