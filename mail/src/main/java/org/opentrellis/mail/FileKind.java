package org.opentrellis.mail;

import java.util.Optional;
import java.util.stream.Stream;

/**
 * The kinds of files that are kept: what people open on any machine and what does nothing by
 * itself.
 */
public enum FileKind {
  PNG("image/png", ".png", true),
  JPEG("image/jpeg", ".jpg", true),
  GIF("image/gif", ".gif", true),
  PDF("application/pdf", ".pdf", false),
  CALENDAR("text/calendar", ".ics", false),
  SOUND("audio/mpeg", ".mp3", false),
  FILM("video/mp4", ".mp4", false);

  private final String type;
  private final String ending;
  private final boolean picture;

  FileKind(String type, String ending, boolean picture) {
    this.type = type;
    this.ending = ending;
    this.picture = picture;
  }

  /** The kind of a media type, if files of it are kept. */
  static Optional<FileKind> of(String type) {
    return Stream.of(values()).filter(kind -> kind.type.equals(type)).findFirst();
  }

  public String type() {
    return type;
  }

  public String ending() {
    return ending;
  }

  public boolean isPicture() {
    return picture;
  }
}
