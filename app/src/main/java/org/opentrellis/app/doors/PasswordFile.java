package org.opentrellis.app.doors;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Optional;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;

/**
 * The account's password, kept as a bcrypt hash in a file of the data folder that only its owner
 * may read. It is a file of its own, so that backups do not carry it and bringing one back does not
 * bring back an old password; and it is read anew each time, so that a change holds at once.
 */
public final class PasswordFile {
  /** What bcrypt takes: more bytes would be ignored. */
  private static final int MOST_BYTES = 72;

  private static final int FEWEST_CHARACTERS = 10;

  private static final PasswordEncoder ENCODER = new BCryptPasswordEncoder(12);

  private final Path file;

  public PasswordFile(Path folder) {
    this.file = folder.resolve("password");
  }

  /** The hash, if a password is set. It changes with every setting, even of the same password. */
  Optional<String> hash() {
    try {
      return Files.exists(file) ? Optional.of(Files.readString(file).strip()) : Optional.empty();
    } catch (IOException refused) {
      throw new UncheckedIOException(refused);
    }
  }

  public boolean isSet() {
    return hash().isPresent();
  }

  boolean isRight(String password) {
    return bytes(password) <= MOST_BYTES
        && hash().filter(hash -> ENCODER.matches(password, hash)).isPresent();
  }

  /**
   * @return what is wrong with a password, if something is
   */
  public static Optional<String> refusal(String password) {
    if (password.codePointCount(0, password.length()) < FEWEST_CHARACTERS) {
      return Optional.of(
          "A password needs at least %d characters; a few words make a good one."
              .formatted(FEWEST_CHARACTERS));
    }
    if (bytes(password) > MOST_BYTES) {
      return Optional.of("A password takes at most %d bytes.".formatted(MOST_BYTES));
    }
    return Optional.empty();
  }

  /** Sets the password; whoever is signed in with another one is not any more. */
  public void set(String password) throws IOException {
    Path made = file.resolveSibling("password.part");
    Files.deleteIfExists(made);
    if (Files.getFileStore(file.getParent()).supportsFileAttributeView("posix")) {
      Files.createFile(
          made, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
    }
    Files.writeString(made, ENCODER.encode(password) + "\n");
    Files.move(made, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
  }

  /** Takes the password away. */
  public void clear() throws IOException {
    Files.deleteIfExists(file);
  }

  private static int bytes(String password) {
    return password.getBytes(StandardCharsets.UTF_8).length;
  }
}
