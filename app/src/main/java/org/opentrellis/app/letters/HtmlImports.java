package org.opentrellis.app.letters;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.files.KeptFiles;
import org.opentrellis.app.messages.MessageLibrary;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.journey.NameExchange;
import org.opentrellis.core.journey.Text;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.sentence.ManuscriptText;
import org.opentrellis.mail.HtmlMail;
import org.opentrellis.mail.HtmlMailReader;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Brings HTML mails in as messages. */
@Service
@Transactional
class HtmlImports {
  private final MessageLibrary library;
  private final KeptFiles files;

  HtmlImports(MessageLibrary library, KeptFiles files) {
    this.library = library;
    this.files = files;
  }

  /**
   * @throws ProblemsFound if nothing can be made of it
   */
  HtmlImportView bringIn(HtmlImportOrder order) {
    HtmlMail mail = read(order.html());
    if (!order.keep()) {
      return view(mail.email(), List.copyOf(mail.pictures().keySet()), mail.told(), null);
    }
    String name = named(order.name());
    Manuscript.Email email = mail.email();
    List<String> kept = new ArrayList<>();
    Map<FileName, FileName> renamed = new HashMap<>();
    mail.pictures()
        .forEach(
            (called, picture) -> {
              String free = files.add(called, picture.content()).name();
              kept.add(free);
              renamed.put(new FileName(called), new FileName(free));
            });
    for (Map.Entry<FileName, FileName> one : renamed.entrySet()) {
      email = new NameExchange(one.getKey(), one.getValue()).in(email);
    }
    return view(email, kept, mail.told(), library.begin(name, email, null).id());
  }

  private static HtmlMail read(String html) {
    try {
      return HtmlMailReader.read(html);
    } catch (Refused refused) {
      throw ProblemsFound.refused("/html", refused);
    }
  }

  private static String named(String name) {
    try {
      return Text.named("a message's name", name, 80);
    } catch (Refused refused) {
      throw ProblemsFound.refused("/name", refused);
    }
  }

  private static HtmlImportView view(
      Manuscript.Email email, List<String> pictures, List<String> told, @Nullable String message) {
    return new HtmlImportView(
        email.subject().forNobody(),
        ManuscriptText.of(email, Catalogue.EMPTY),
        pictures,
        told,
        message);
  }
}
