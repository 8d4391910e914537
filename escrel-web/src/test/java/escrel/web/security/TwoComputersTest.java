package escrel.web.security;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.EscrelApplication;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/** The workshop on one computer, looked at from another: passphrase, slips, logging out. */
class TwoComputersTest {
    private static final String PASSPHRASE = "tweezers and pegwood";

    private ConfigurableApplicationContext context;
    private String url;

    @BeforeEach
    void startForOthers() throws Exception {
        Path home = EscrelServer.folder();
        Files.writeString(home.resolve("passphrase"), new BCryptPasswordEncoder().encode(PASSPHRASE));
        context = EscrelApplication.application()
                .run("--escrel.home=" + home, "--server.port=0", "--server.address=0.0.0.0", "--escrel.upkeep=false");
        url = "http://localhost:" + context.getEnvironment().getProperty("local.server.port");
    }

    @AfterEach
    void stop() {
        context.close();
    }

    private void enter(Browser browser, String passphrase) {
        browser.type("[name=password]", passphrase);
        browser.toAnotherPage(browser::enter);
    }

    /** A phone that scanned a code shows the passphrase once and stands where it wanted to. */
    @Test
    void aPhoneGoesOnToItsCodeAfterThePassphrase() {
        try (Browser phone = new Browser()) {
            phone.open(url + "/phone/ABCDEFGHJK");
            phone.seeText("The workshop's passphrase");
            enter(phone, PASSPHRASE);
            phone.seeText("This code no longer holds");
            assertThat(phone.driver().getCurrentUrl()).endsWith("/phone/ABCDEFGHJK");
        }
    }

    @Test
    void eachShowsThePassphraseSlipsSlowDownAndLoggingOutClosesOnlyHere() {
        try (Browser bench = new Browser();
                Browser desk = new Browser()) {
            bench.open(url + "/");
            enter(bench, PASSPHRASE);
            bench.seeText("No watch is in the house");

            desk.open(url + "/");
            desk.seeText("The workshop's passphrase");
            for (int slip = 0; slip < 3; slip++) {
                enter(desk, "pegwood and tweezers " + slip);
                desk.seeText("That is not the passphrase");
            }
            enter(desk, PASSPHRASE);
            desk.seeText("Too many wrong ones from here");

            // the address is the same in this test, so the bench's own session must not be touched by it
            bench.open(url + "/calibres");
            bench.seeText("The library is empty");
            bench.driver()
                    .findElement(By.cssSelector("form[action='/logout'] button"))
                    .click();
            bench.seeText("You have logged out");
            bench.open(url + "/calibres");
            bench.seeText("The workshop's passphrase");
            assertThat(bench.text()).doesNotContain("The library is empty");
        }
    }
}
