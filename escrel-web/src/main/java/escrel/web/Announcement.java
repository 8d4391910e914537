package escrel.web;

import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/** Says where the application can be opened, once it can. */
@Component
class Announcement {
    @EventListener
    void ready(ApplicationReadyEvent event) {
        Environment environment = event.getApplicationContext().getEnvironment();
        String port = environment.getProperty("local.server.port", environment.getProperty("server.port", ""));
        System.out.println("Escrel is open at http://localhost:" + port + "  (records in "
                + environment.getProperty("escrel.home") + "; stop with Ctrl-C)");
    }
}
