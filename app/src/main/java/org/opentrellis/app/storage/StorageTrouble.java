package org.opentrellis.app.storage;

import java.io.IOException;
import java.nio.file.FileSystemException;
import java.sql.SQLException;
import java.util.Locale;
import java.util.Optional;
import org.h2.api.ErrorCode;
import org.h2.mvstore.DataUtils;
import org.h2.mvstore.MVStoreException;

/** Nothing can be kept at the moment: what the matter is, and what to do. */
public final class StorageTrouble extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /** What the matter is. */
  public enum Kind {
    DISK_FULL(
        "disk-full",
        "The disk that holds the data is full. Nothing was saved. Make room on it and save again; until then everything can still be read."),
    NOT_WRITABLE(
        "not-writable",
        "The data folder cannot be written at the moment. Nothing was saved. See that the disk is there and may be written, and save again; until then what is kept can still be read."),
    REOPENING(
        "storage-reopening",
        "The data is being opened again after trouble with the disk. Try again in a moment.");

    private final String code;
    private final String sentence;

    Kind(String code, String sentence) {
      this.code = code;
      this.sentence = sentence;
    }

    /** Stable, for programs. */
    public String code() {
      return code;
    }

    public String sentence() {
      return sentence;
    }
  }

  private final Kind kind;

  StorageTrouble(Kind kind) {
    super(kind.sentence());
    this.kind = kind;
  }

  public Kind kind() {
    return kind;
  }

  /** Whether a failure comes from the disk, at whatever depth it says so. */
  public static Optional<Kind> in(Throwable failure) {
    Optional<Kind> found = Optional.empty();
    int depth = 0;
    for (Throwable cause = failure; cause != null && depth < 30; cause = cause.getCause()) {
      Optional<Kind> kind = of(cause);
      // What lies deeper says more: a closed database has been closed for a reason.
      found = kind.isPresent() ? kind : found;
      depth++;
    }
    return found;
  }

  /** Whether it was the database that failed, and not a file that we write ourselves. */
  static boolean ofDatabase(Throwable failure) {
    int depth = 0;
    for (Throwable cause = failure; cause != null && depth < 30; cause = cause.getCause()) {
      if (cause instanceof SQLException) {
        return true;
      }
      depth++;
    }
    return false;
  }

  private static Optional<Kind> of(Throwable cause) {
    if (cause instanceof StorageTrouble trouble) {
      return Optional.of(trouble.kind());
    }
    if (cause instanceof MVStoreException store
        && store.getErrorCode() == DataUtils.ERROR_WRITING_FAILED) {
      return Optional.of(Kind.NOT_WRITABLE);
    }
    if (cause instanceof SQLException sql) {
      return switch (sql.getErrorCode()) {
        case ErrorCode.DATABASE_IS_READ_ONLY -> Optional.of(Kind.NOT_WRITABLE);
        case ErrorCode.DATABASE_IS_CLOSED, ErrorCode.DATABASE_CALLED_AT_SHUTDOWN ->
            Optional.of(Kind.REOPENING);
        default -> Optional.empty();
      };
    }
    return cause instanceof IOException io && isFull(io)
        ? Optional.of(Kind.DISK_FULL)
        : Optional.empty();
  }

  /** Java tells a full disk by the operating system's words only. */
  static boolean isFull(IOException failure) {
    String words = String.valueOf(failure.getMessage()).toLowerCase(Locale.ROOT);
    return words.contains("no space left")
        || words.contains("quota exceeded")
        || words.contains("not enough space")
        || words.contains("file too large");
  }

  /** The operating system's reason without the file's name. */
  static String words(IOException failure) {
    String reason =
        failure instanceof FileSystemException system && system.getReason() != null
            ? system.getReason()
            : String.valueOf(failure.getMessage());
    return reason.isEmpty() ? failure.getClass().getSimpleName() : reason.toLowerCase(Locale.ROOT);
  }
}
