package org.opentrellis.core.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.problem.Refused;

/** What a person's record takes, and what it refuses. */
class RecordTest {

  /** The first ones from RFC 3696, section 3, as its errata have them. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "user+mailbox@example.com",
        "customer/department=shipping@example.com",
        "$A12345@example.com",
        "!def!xyz%abc@example.com",
        "_somename@example.com",
        "mira.t@example.com",
        " mira.t@example.com ",
        "o'hara@keepers.example.org"
      })
  void addressesOfStandardsAreTaken(String address) {
    assertThat(new EmailAddress(address).value()).isEqualTo(address.strip());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          ''                          | an address is missing
          mira                        | an @ between name and domain
          @example.com                | stands a name
          mira@                       | a domain
          mira@example                | with its ending
          mira@example.c              | with its ending
          mira@exam ple.com           | a domain
          mira@.example.com           | a domain
          mira@example..com           | a domain
          mira t@example.com          | without accents
          mirä@example.com            | without accents
          "mira t"@example.com        | without accents
          mira.@example.com           | no mail server takes this address
          .mira@example.com           | no mail server takes this address
          mira..t@example.com         | no mail server takes this address
          mira@x@example.com          | no mail server takes this address
          mira@-example.com           | a domain
          """)
  void otherAddressesAreRefusedWithTheReason(String address, String why) {
    assertThatThrownBy(() -> new EmailAddress(address))
        .isInstanceOf(Refused.class)
        .hasMessageContaining(why);
  }

  /** RFC 5321, section 4.5.3.1: 64 octets before the @; erratum 1690 of RFC 3696: 254 in all. */
  @Test
  void lengthsAreThoseOfTheStandard() {
    String name = "n".repeat(64);
    String domain = ("d".repeat(60) + ".").repeat(3) + "example";
    assertThat(new EmailAddress(name + "@example.com").value()).hasSize(76);
    assertThatThrownBy(() -> new EmailAddress("n" + name + "@example.com"))
        .hasMessageContaining("at most 64 characters, not 65");
    assertThatThrownBy(() -> new EmailAddress(name + "@" + domain))
        .hasMessageContaining("at most 254");
  }

  /** RFC 3492, section 7.1, has the algorithm; the example is IDNA's usual one. */
  @Test
  void domainsWithAccentsAreWrittenAsMailServersNeedThem() {
    assertThat(new EmailAddress("mira@b\u00fccher.example").value())
        .isEqualTo("mira@xn--bcher-kva.example");
  }

  @Test
  void capitalsMakeNoOtherAddress() {
    assertThat(new EmailAddress("Mira.T@Example.com").key())
        .isEqualTo(new EmailAddress("mira.t@example.com").key());
  }

  /** Numbers set aside for stories: Ofcom's for Britain, the North American 555-01xx. */
  @ParameterizedTest
  @CsvSource({
    "+44 1632 960001, +441632960001",
    "+44 (0)1632 960001, +441632960001",
    "+1 212-555-0123, +12125550123",
    "0047 21 23 45 67, ",
    "+47 21 23 45 67, +4721234567"
  })
  void phoneNumbersAreWrittenInOneWay(String typed, String written) {
    if (written == null) {
      assertThatThrownBy(() -> new PhoneNumber(typed)).hasMessageContaining("begins with a plus");
    } else {
      assertThat(new PhoneNumber(typed).value()).isEqualTo(written);
    }
  }

  @ParameterizedTest
  @CsvSource({
    "+47 21, too few digits",
    "+47 21 23 45 67 89 01 23, too few digits or too many",
    "call me, has digits",
    "+999 123456, begins with a plus",
    "'', has digits"
  })
  void otherNumbersAreRefusedWithTheReason(String typed, String why) {
    assertThatThrownBy(() -> new PhoneNumber(typed))
        .isInstanceOf(Refused.class)
        .hasMessageContaining(why);
  }

  /** Nobody but themselves brings somebody back who has gone. */
  @ParameterizedTest
  @EnumSource(
      value = Mailing.class,
      names = {"UNSUBSCRIBED", "BOUNCED", "COMPLAINED"})
  void whoHasGoneStaysGoneWhateverOthersAskFor(Mailing gone) {
    assertThat(gone.gone()).isTrue();
    for (Mailing asked : Mailing.values()) {
      assertThat(gone.askedByOthers(asked).gone()).as(asked.name()).isTrue();
    }
  }

  @Test
  void whoMayBeMailedNeedNotConfirmAgain() {
    assertThat(Mailing.MAY_BE_MAILED.askedByOthers(Mailing.NOT_CONFIRMED))
        .isEqualTo(Mailing.MAY_BE_MAILED);
    assertThat(Mailing.NOT_CONFIRMED.askedByOthers(Mailing.MAY_BE_MAILED))
        .isEqualTo(Mailing.MAY_BE_MAILED);
    assertThat(Mailing.UNSUBSCRIBED.askedByOthers(Mailing.COMPLAINED))
        .isEqualTo(Mailing.COMPLAINED);
    assertThat(Mailing.COMPLAINED.askedByOthers(Mailing.UNSUBSCRIBED))
        .isEqualTo(Mailing.COMPLAINED);
  }

  @ParameterizedTest
  @CsvSource({
    "TEXT, Linden, Words[text=Linden]",
    "NUMBER, 2.5, Number[number=2.5]",
    "NUMBER, -0, Number[number=0.0]",
    "DATE, 2027-05-02, Date[date=2027-05-02]",
    "YES_NO, YES, Words[text=yes]",
    "ONE_OF, shade, Words[text=Shade]"
  })
  void fieldsHoldWhatTheirTypeSays(FieldType type, String typed, String value) {
    assertThat(type.read(typed, List.of("Sun", "Shade")).map(Operand::toString)).hasValue(value);
    assertThat(type.read("  ", List.of())).isEqualTo(Optional.empty());
  }

  @ParameterizedTest
  @CsvSource({
    "3, NUMBER",
    "-2.5, NUMBER",
    "2027-05-02, DATE",
    "yes, YES_NO",
    "NaN, TEXT",
    "2 hives, TEXT",
    "'', TEXT"
  })
  void whatIsFilledInFirstGivesTheFieldItsType(String typed, FieldType type) {
    assertThat(FieldType.of(typed)).isEqualTo(type);
  }

  @ParameterizedTest
  @CsvSource({
    "NUMBER, '2,5', a number is written like",
    "NUMBER, NaN, must be finite",
    "DATE, 02.05.2027, a date is written like 2027-05-02",
    "DATE, 2027-02-30, a date is written like",
    "YES_NO, perhaps, 'one of yes, no'",
    "ONE_OF, dusk, 'one of Sun, Shade, not'"
  })
  void otherValuesAreRefusedWithTheReason(FieldType type, String typed, String why) {
    assertThatThrownBy(() -> type.read(typed, List.of("Sun", "Shade")))
        .isInstanceOf(Refused.class)
        .hasMessageContaining(why);
  }
}
