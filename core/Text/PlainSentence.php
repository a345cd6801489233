<?php

declare(strict_types=1);

namespace PlainLedger\Core\Text;

/**
 * An exception whose message a coordinator understands as it stands: what was wrong, where, what to do.
 * Whoever shows it may print the message and nothing else.
 */
interface PlainSentence extends \Throwable {}
