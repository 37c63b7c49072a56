package org.opentrellis.app.storage;

import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.resilience.annotation.ConcurrencyLimit;
import org.springframework.resilience.annotation.Retryable;

/**
 * Marks a method that chooses a free name: when somebody else takes the name at the same moment, it
 * is done again in a new transaction, and sees the other's. Many who do the same at once do it one
 * after another, so that this is rare.
 */
@Documented
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
@ConcurrencyLimit(1)
@Retryable(
    includes = {DuplicateKeyException.class, PessimisticLockingFailureException.class},
    maxRetries = 50,
    delay = 5,
    jitter = 5)
public @interface AgainIfTaken {}
