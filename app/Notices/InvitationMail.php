<?php

declare(strict_types=1);

namespace App\Notices;

use Illuminate\Bus\Queueable;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;

/** A link by which somebody comes in. It is used once; no password is ever mailed. */
final class InvitationMail extends Mailable
{
    use Queueable;

    public function __construct(
        public readonly string $name,
        public readonly string $production,
        public readonly string $by,
        public readonly string $link,
        public readonly int $days,
    ) {}

    public function envelope(): Envelope
    {
        return new Envelope(subject: "{$this->production}: you are invited");
    }

    public function content(): Content
    {
        return new Content(text: 'mail.invitation');
    }
}
