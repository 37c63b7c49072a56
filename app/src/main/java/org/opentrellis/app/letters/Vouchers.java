package org.opentrellis.app.letters;

import java.time.LocalDate;
import java.util.Optional;
import org.opentrellis.app.messages.MessageLibrary;
import org.opentrellis.app.messages.Written;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.Part;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The vouchers that messages give. */
@Service
@Transactional(readOnly = true)
public class Vouchers {
  private final MessageLibrary library;

  Vouchers(MessageLibrary library) {
    this.library = library;
  }

  /**
   * What the voucher of a code is worth, as its message says, such as "15%".
   *
   * @return empty if no message gives one of that code that still holds
   */
  public Optional<String> worth(String code, LocalDate today) {
    return library.all().stream()
        .flatMap(message -> library.find(message.id()).map(Written::manuscript).stream())
        .filter(Manuscript.Email.class::isInstance)
        .flatMap(manuscript -> ((Manuscript.Email) manuscript).allParts())
        .filter(Part.Voucher.class::isInstance)
        .map(Part.Voucher.class::cast)
        .filter(voucher -> voucher.code().equalsIgnoreCase(code.strip()))
        .filter(voucher -> voucher.until().map(last -> !last.isBefore(today)).orElse(true))
        .map(Part.Voucher::worth)
        .findFirst();
  }
}
