package org.opentrellis.app.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Instant;
import java.time.ZoneId;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.core.report.SendingLimits;

/** The month's emails: never one too many, and not counted for each. */
class QuotasTest {
  private final OutboxMapper outbox = mock(OutboxMapper.class);
  private final Account account = mock(Account.class);
  private final AccountClock clock = mock(AccountClock.class);
  private final Quotas quotas = new Quotas(outbox, account, clock);

  private void given(@Nullable Long limit, String now) {
    SendingLimits limits = mock(SendingLimits.class);
    when(limits.monthlyQuota()).thenReturn(limit);
    when(account.limits()).thenReturn(limits);
    when(account.zone()).thenReturn(ZoneId.of("Europe/Berlin"));
    when(clock.instant()).thenReturn(Instant.parse(now));
  }

  /** Takes as many as it may, at most so many. */
  private int taken(int most) {
    Quotas.Month month = quotas.now();
    int taken = 0;
    while (taken < most && !month.isUsedUp()) {
      month.take();
      taken++;
    }
    return taken;
  }

  @Test
  void asManyGoOutAsAreLeftAndTheyAreCountedTwiceAtMost() {
    given(10L, "2027-03-10T12:00:00Z");
    when(outbox.emailsSince(anyLong())).thenReturn(4L);
    assertThat(taken(3)).isEqualTo(3);
    when(outbox.emailsSince(anyLong())).thenReturn(7L);
    assertThat(taken(100)).isEqualTo(3);
    verify(outbox, times(2)).emailsSince(anyLong());
  }

  /** What was taken and called off, or did not go out, leaves room again. */
  @Test
  void whatDidNotGoOutIsGivenBack() {
    given(10L, "2027-03-10T12:00:00Z");
    when(outbox.emailsSince(anyLong())).thenReturn(0L);
    assertThat(taken(10)).isEqualTo(10);
    when(outbox.emailsSince(anyLong())).thenReturn(6L);
    assertThat(taken(100)).isEqualTo(4);
  }

  @Test
  void aNewMonthBeginsAtMidnightInTheAccountsZoneAndIsCountedAnew() {
    given(10L, "2027-03-31T21:59:59Z");
    when(outbox.emailsSince(anyLong())).thenReturn(10L);
    Quotas.Month march = quotas.now();
    assertThat(march.isUsedUp()).isTrue();
    assertThat(march.next()).isEqualTo(Instant.parse("2027-03-31T22:00:00Z").getEpochSecond());
    given(10L, "2027-03-31T22:00:00Z");
    when(outbox.emailsSince(march.next())).thenReturn(0L);
    assertThat(taken(100)).isEqualTo(10);
  }

  @Test
  void withoutALimitNobodyCounts() {
    given(null, "2027-03-10T12:00:00Z");
    assertThat(taken(1_000)).isEqualTo(1_000);
    verify(outbox, never()).emailsSince(anyLong());
  }
}
