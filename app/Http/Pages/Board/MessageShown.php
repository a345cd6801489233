<?php

declare(strict_types=1);

namespace App\Http\Pages\Board;

use App\Actions\Messages\OutboxLetter;
use App\Http\Moment;

/** A message in the outbox. */
final readonly class MessageShown
{
    /** @var int|null null of an invitation, which is ended where people are */
    public ?int $id;

    public string $to;

    public string $address;

    public ?string $by;

    public string $subject;

    public string $body;

    public string $at;

    public function __construct(OutboxLetter $letter)
    {
        $this->id = $letter->message;
        $this->to = $letter->to;
        $this->address = $letter->address;
        $this->by = $letter->by?->name;
        $this->subject = $letter->subject;
        $this->body = $letter->body;
        $this->at = Moment::told($letter->at);
    }
}
