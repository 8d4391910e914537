package escrel.web.photos;

import escrel.core.MendableException;

/** A file that is no picture we can take. */
class UnreadablePhotoException extends MendableException {
    private static final long serialVersionUID = 1L;

    UnreadablePhotoException(String what) {
        super(what, "Nothing was recorded; the file is untouched.", "Take a JPEG or PNG picture and add it again.");
    }
}
