package escrel.web.ground;

import java.sql.SQLException;
import org.jspecify.annotations.Nullable;

/** The disk is full or refuses: nothing was recorded; it goes on when there is room. */
public final class NoRoomException extends SQLException {
    private static final long serialVersionUID = 1L;

    NoRoomException(String why, @Nullable Throwable cause) {
        super(why, cause);
    }
}
