package escrel.web.security;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;

class LoginThrottleTest {
    private final AtomicLong now = new AtomicLong(1);
    private final LoginThrottle throttle = new LoginThrottle(now::get);

    private void pass(long seconds) {
        now.addAndGet(TimeUnit.SECONDS.toNanos(seconds));
    }

    @Test
    void twoSlipsAreFreeThenEachWaitsTwiceAsLong() {
        throttle.wrongFrom("a");
        throttle.wrongFrom("a");
        assertThat(throttle.waitSeconds("a")).isZero();

        throttle.wrongFrom("a");
        assertThat(throttle.waitSeconds("a")).isBetween(2L, 3L);
        pass(3);
        assertThat(throttle.waitSeconds("a")).isZero();
        throttle.wrongFrom("a");
        assertThat(throttle.waitSeconds("a")).isBetween(4L, 5L);
    }

    @Test
    void waitEndsAtFiveMinutesAndOneAddressDoesNotLockOutAnother() {
        for (int i = 0; i < 60; i++) {
            throttle.wrongFrom("a");
        }
        assertThat(throttle.waitSeconds("a")).isBetween(299L, 301L);
        assertThat(throttle.waitSeconds("b")).isZero();
    }

    @Test
    void rightOneForgetsTheWrongOnes() {
        for (int i = 0; i < 5; i++) {
            throttle.wrongFrom("a");
        }
        throttle.rightFrom("a");
        assertThat(throttle.waitSeconds("a")).isZero();
        throttle.wrongFrom("a");
        assertThat(throttle.waitSeconds("a")).isZero();
    }

    @Test
    void manyAddressesAreNotRememberedForGood() {
        for (int i = 0; i < 3; i++) {
            throttle.wrongFrom("first");
        }
        for (int i = 0; i < 1_000; i++) {
            throttle.wrongFrom("address " + i);
        }
        assertThat(throttle.waitSeconds("first")).isZero();
    }
}
