package escrel.web.storage;

import java.time.Clock;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The one clock of the application; core has none of its own. */
@Configuration
class ClockConfiguration {
    @Bean
    Clock clock() {
        return Clock.systemDefaultZone();
    }
}
