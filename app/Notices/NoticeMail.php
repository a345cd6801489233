<?php

declare(strict_types=1);

namespace App\Notices;

use Illuminate\Bus\Queueable;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;
use Illuminate\Support\Str;

/** A notice as a letter: a sentence, and where to look. */
final class NoticeMail extends Mailable
{
    use Queueable;

    public function __construct(
        public readonly string $production,
        public readonly string $says,
        public readonly string $where,
    ) {}

    public function envelope(): Envelope
    {
        return new Envelope(subject: Str::limit("{$this->production}: {$this->says}", 150, '…'));
    }

    public function content(): Content
    {
        return new Content(text: 'mail.notice');
    }
}
