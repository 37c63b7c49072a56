package org.opentrellis.app.files;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.FreeName;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.storage.AgainIfTaken;
import org.opentrellis.app.storage.Fingerprint;
import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.mail.FileIntake;
import org.opentrellis.mail.TakenFile;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.util.UriUtils;

/** The pictures and files that messages show and hand out, each under a name of its own. */
@Service
@Transactional
public class KeptFiles {
  private final FileMapper mapper;
  private final Clock clock;

  KeptFiles(FileMapper mapper, Clock clock) {
    this.mapper = mapper;
    this.clock = clock;
  }

  public List<KeptFileView> all() {
    return mapper.all().stream().map(KeptFiles::view).toList();
  }

  public Optional<KeptFileView> find(FileName name) {
    return mapper.find(key(name.value())).map(KeptFiles::view);
  }

  /**
   * What is in a file.
   *
   * @param type its media type, found from its content when it came
   */
  record Content(String type, byte[] bytes) {}

  Optional<Content> content(String name) {
    return mapper
        .find(key(name))
        .flatMap(
            row -> mapper.content(key(name)).map(one -> new Content(row.type(), one.content())));
  }

  /**
   * Keeps a file under its name, or under one with a number behind if another is called so. The
   * same file is kept once.
   *
   * @throws ProblemsFound if files of its kind are not kept
   */
  @AgainIfTaken
  public KeptFileView add(String name, byte[] content) {
    TakenFile taken = take(name, content);
    String fingerprint = Fingerprint.of(taken.content());
    List<FileRow> there = mapper.all();
    Optional<FileRow> same =
        there.stream()
            .filter(one -> one.fingerprint().equals(fingerprint))
            .filter(one -> one.name().equalsIgnoreCase(taken.name()))
            .findFirst();
    if (same.isPresent()) {
      return view(same.get());
    }
    String free = free(taken.name(), there.stream().map(FileRow::name).toList());
    mapper.insert(
        free,
        key(free),
        taken.kind().type(),
        taken.content().length,
        size(taken.width()),
        size(taken.height()),
        fingerprint,
        taken.content(),
        OffsetDateTime.now(clock));
    return view(mapper.find(key(free)).orElseThrow());
  }

  /**
   * Puts another content in the place of a file, wherever it is shown.
   *
   * @throws NotFound if there is none of that name
   * @throws ProblemsFound if files of its kind are not kept, or it is of another kind
   */
  public KeptFileView replace(String name, byte[] content) {
    FileRow row = mapper.find(key(name)).orElseThrow(() -> NotFound.of("file", name));
    TakenFile taken = take(name, content);
    if (taken.kind().isPicture() != (row.width() != null)) {
      throw ProblemsFound.refused(
          "",
          new Refused(
              "bad-file",
              row.width() == null
                  ? "a picture cannot take the place of a file that is handed out"
                  : "only a picture can take the place of a picture"));
    }
    mapper.replace(
        key(name),
        taken.kind().type(),
        taken.content().length,
        size(taken.width()),
        size(taken.height()),
        Fingerprint.of(taken.content()),
        taken.content(),
        OffsetDateTime.now(clock));
    return view(mapper.find(key(name)).orElseThrow());
  }

  private static TakenFile take(String name, byte[] content) {
    try {
      return FileIntake.take(name, content);
    } catch (Refused refused) {
      throw ProblemsFound.refused("", refused);
    }
  }

  private static @Nullable Integer size(int pixels) {
    return pixels == 0 ? null : pixels;
  }

  /** "hives.png", "hives 2.png". */
  private static String free(String name, List<String> taken) {
    int dot = name.lastIndexOf('.');
    String ending = name.substring(dot);
    List<String> bases =
        taken.stream()
            .filter(one -> one.toLowerCase(Locale.ROOT).endsWith(ending.toLowerCase(Locale.ROOT)))
            .map(one -> one.substring(0, one.length() - ending.length()))
            .toList();
    return FreeName.of(name.substring(0, dot), bases) + ending;
  }

  private static String key(String name) {
    return name.strip().toLowerCase(Locale.ROOT);
  }

  private static KeptFileView view(FileRow row) {
    return new KeptFileView(
        row.name(),
        row.type(),
        row.bytes(),
        row.width(),
        row.height(),
        "/files/" + UriUtils.encodePathSegment(row.name(), "UTF-8") + "?v=" + row.version(),
        row.version(),
        row.savedAt().toEpochSecond());
  }
}
