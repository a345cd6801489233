<?php

declare(strict_types=1);

namespace PlainLedger\Core\Text;

/**
 * A failure that somebody at the desk can do something about. It carries its parts: where it is, what is wrong, and
 * what it came from; its message is the sentence that is made of them. Whoever shows it may print that and nothing
 * else, and whoever needs a fact takes a part, never a piece of the sentence.
 */
interface PlainSentence extends \Throwable
{
    /** What it is about: a path, a label, a place in a document, the text that was read; null where that is plain. */
    public function place(): ?string;

    /** What is wrong with it, by itself. */
    public function reason(): string;
}
