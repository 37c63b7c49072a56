package org.opentrellis.app.visitors;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.ArgumentMatchers.contains;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.when;

import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.entrances.ConfirmationPost;
import org.opentrellis.app.entrances.Entrances;
import org.opentrellis.app.entrances.OpenEntrance;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.app.letters.MailRoute;
import org.opentrellis.app.people.OutsideHappenings;
import org.opentrellis.app.storage.StorageTrouble;
import org.opentrellis.core.crowd.Errand;
import org.opentrellis.core.entrance.Entrance;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.MessageRef;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.Money;
import org.opentrellis.core.journey.StepId;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** What becomes of an errand that is done, that cannot be done yet, and that never can. */
class GoingOutTest {
  private static final long NOW = 1_800_000_000L;
  private static final long VISITOR = 7;
  private static final long CROWD = 2;
  private static final String ADDRESS = "ida.v2.1@crowd.test";
  private static final MessageRef MAIL =
      new MessageRef(new JourneyName("#1"), 0, new StepId("planner"));

  private final VisitorMapper mapper = mock(VisitorMapper.class);
  private final Entrances entrances = mock(Entrances.class);
  private final ConfirmationPost confirmations = mock(ConfirmationPost.class);
  private final OutsideHappenings people = mock(OutsideHappenings.class);
  private final FormVisits forms = mock(FormVisits.class);
  private final MailVisits mail = mock(MailVisits.class);
  private final ShopVisits shop = mock(ShopVisits.class);
  private final MailRoute route = mock(MailRoute.class);
  private final Account account = mock(Account.class);
  private final GoingOut out =
      new GoingOut(
          mapper,
          entrances,
          confirmations,
          people,
          forms,
          mail,
          shop,
          route,
          account,
          new TransactionTemplate(mock(PlatformTransactionManager.class)));

  @BeforeEach
  void somebodyIsOnTheirWay() {
    when(account.zone()).thenReturn(ZoneOffset.UTC);
    when(route.leavesTo()).thenReturn(Optional.empty());
    when(mapper.next()).thenReturn(Optional.of(NOW));
    when(mapper.visitor(VISITOR))
        .thenReturn(
            Optional.of(
                new VisitorMapper.VisitorRow(
                    VISITOR, CROWD, 3, ADDRESS, "{\"address\": \"" + ADDRESS + "\"}")));
    when(entrances.open(3))
        .thenReturn(
            Optional.of(
                new OpenEntrance(3, "/e/planner", Entrance.begun(new FormName("Planner")))));
    when(people.numberOf(ADDRESS)).thenReturn(Optional.of(11L));
  }

  /** One errand that is due, which could not be done so often before. */
  private void isDue(Errand errand, int tries) {
    ErrandRow row = ErrandRow.of(VISITOR, errand);
    when(mapper.due(eq(NOW), anyInt()))
        .thenReturn(
            List.of(new ErrandRow(5, VISITOR, row.at(), row.kind(), row.document(), tries)));
  }

  private static Errand opens() {
    return new Errand.Does(new Happening.Opened(NOW, MAIL));
  }

  @Test
  void whoeverSignsUpHasComeAndIsAskedToConfirmAtOnce() {
    isDue(new Errand.SignsUp(NOW), 0);
    when(forms.send(anyString(), any(), anyInt())).thenReturn(Optional.empty());
    assertThat(out.goOn(NOW)).isEqualTo(1);
    verify(forms).send(eq("/e/planner"), eq(Map.of("address", ADDRESS)), anyInt());
    verify(mapper).done(5);
    verify(mapper).came(VISITOR);
    verify(confirmations).post();
  }

  @Test
  void whatCannotBeDoneYetIsTriedAgainInGrowingPauses() {
    isDue(opens(), 0);
    out.goOn(NOW);
    verify(mapper).later(5, NOW + 60);
    isDue(opens(), 3);
    out.goOn(NOW);
    verify(mapper).later(5, NOW + 3600);
    verify(mapper, never()).failed(anyLong(), anyString());
  }

  @Test
  void afterSoManyTriesItIsGivenUpAndSaid() {
    isDue(opens(), 8);
    out.goOn(NOW);
    verify(mapper).done(5);
    verify(mapper).failed(CROWD, "The mail that it is about had not come.");
  }

  /** Then nothing else can be done by them either. */
  @Test
  void whoeverIsTurnedAwayForGoodDoesNothingElse() {
    when(entrances.open(3)).thenReturn(Optional.empty());
    isDue(new Errand.SignsUp(NOW), 0);
    out.goOn(NOW);
    verify(mapper).allDone(VISITOR);
    verify(mapper).failed(CROWD, "The form was turned off.");
    verify(mapper, never()).came(anyLong());
  }

  @Test
  void whatIsRefusedIsNotTriedAgainAndWhatFailsByOurFaultIs() {
    Happening order =
        new Happening.Ordered(NOW, "order", List.of(), new Money(900), Optional.empty());
    isDue(new Errand.Does(order), 0);
    doThrow(new Refusal(HttpStatus.BAD_REQUEST, "no", "There is no such link.", null))
        .when(shop)
        .buys(any(), any());
    out.goOn(NOW);
    verify(mapper).failed(CROWD, "There is no such link.");

    doThrow(new IllegalStateException("broken")).when(shop).buys(any(), any());
    out.goOn(NOW);
    verify(mapper).later(5, NOW + 60);
    isDue(new Errand.Does(order), 8);
    out.goOn(NOW);
    verify(mapper).failed(eq(CROWD), contains("by a fault of ours (incident "));
  }

  /** Nobody's errand is at fault then: all of them wait. */
  @Test
  void aFullDiskIsNotHeldAgainstTheErrand() {
    isDue(opens(), 8);
    StorageTrouble full = mock(StorageTrouble.class);
    when(full.kind()).thenReturn(StorageTrouble.Kind.DISK_FULL);
    when(mail.does(anyLong(), anyString(), any())).thenThrow(full);
    assertThatThrownBy(() -> out.goOn(NOW)).isSameAs(full);
    verify(mapper, never()).done(anyLong());
    verify(mapper, never()).failed(anyLong(), anyString());
  }

  @Test
  void whoeverHasGoneDoesNothing() {
    isDue(opens(), 0);
    when(mapper.visitor(VISITOR)).thenReturn(Optional.empty());
    assertThat(out.goOn(NOW)).isEqualTo(1);
    verifyNoInteractions(mail, shop, forms);
  }

  @Test
  void whereMailLeavesNobodySimulatedDoesAnything() {
    when(route.leavesTo()).thenReturn(Optional.of("mail.example:25"));
    isDue(opens(), 0);
    assertThat(out.next()).isEqualTo(Long.MAX_VALUE);
    assertThat(out.goOn(NOW)).isZero();
    verifyNoInteractions(mail);
  }
}
