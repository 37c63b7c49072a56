package org.opentrellis.app.live;

import org.opentrellis.app.account.Account;
import org.opentrellis.app.letters.PersonalLetters;
import org.opentrellis.app.people.KnownPeople;
import org.opentrellis.app.standins.Phone;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.problem.Refused;
import org.springframework.stereotype.Component;

/** Hands texts over to the phone stand-in. */
@Component
class PhoneLine {
  private final PersonalLetters letters;
  private final KnownPeople people;
  private final Account account;
  private final Phone phone;

  PhoneLine(PersonalLetters letters, KnownPeople people, Account account, Phone phone) {
    this.letters = letters;
    this.people = people;
    this.account = account;
    this.phone = phone;
  }

  Handover send(OutboxRow row) {
    try {
      String words = letters.text(row.personId(), new MessageId(row.messageId()));
      String number =
          people
              .phone(row.personId())
              .orElseThrow(() -> new Refused("no phone number of theirs is known"));
      phone.take(number, account.texting().sender(), words);
      return Handover.TAKEN;
    } catch (Refused refused) {
      return Handover.unwritten(refused.sentence());
    }
  }
}
