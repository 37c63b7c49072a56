package org.opentrellis.app.entrances;

import org.opentrellis.app.http.SaveLost;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.app.storage.AgainIfTaken;
import org.opentrellis.core.entrance.ChoicesPage;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.problem.ProblemsFound;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** The page of choices, as the workshop keeps it. */
@Service
@Transactional
class ChoicesKept {
  private final ChoicesMapper mapper;
  private final RegisteredNames names;
  private final ChoicesLook look;

  ChoicesKept(ChoicesMapper mapper, RegisteredNames names, ChoicesLook look) {
    this.mapper = mapper;
    this.names = names;
    this.look = look;
  }

  @Transactional(readOnly = true)
  ChoicesPage page() {
    return mapper.find().map(ChoicesMapper.ChoicesRow::page).orElseGet(ChoicesPage::begun);
  }

  @Transactional(readOnly = true)
  ChoicesView view() {
    int version = mapper.find().map(ChoicesMapper.ChoicesRow::version).orElse(0);
    return new ChoicesView(version, Documents.write(page()));
  }

  /**
   * Keeps it as it was changed.
   *
   * @throws SaveLost if somebody else has changed it since
   * @throws ProblemsFound if something cannot be so
   */
  @AgainIfTaken
  ChoicesView save(ChoicesView draft) {
    ChoicesPage page = read(draft.page());
    page.lists().forEach(names::number);
    String document = Json.write(Documents.write(page));
    if (mapper.find().isEmpty() && draft.version() == 0) {
      mapper.insert(document);
    } else if (mapper.save(document, draft.version()) == 0) {
      throw new SaveLost("Somebody else has changed this page since you opened it.", view(), draft);
    }
    return view();
  }

  private static ChoicesPage read(JsonNode page) {
    return ProblemsFound.within("/page", () -> Documents.readChoicesPage(page));
  }

  /**
   * The page as somebody would see it, without keeping it.
   *
   * @throws ProblemsFound if something cannot be so
   */
  @Transactional(readOnly = true)
  String picture(JsonNode page) {
    return look.picture(read(page));
  }
}
