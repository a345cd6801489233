<?php

declare(strict_types=1);

namespace App\Http\Pages\Board;

use App\Http\Moment;
use App\Models\Message;

/** A message to an owner. */
final readonly class MessageShown
{
    public int $id;

    public string $to;

    public string $address;

    public ?string $by;

    public string $subject;

    public string $body;

    public string $at;

    public function __construct(Message $message)
    {
        $this->id = $message->id;
        $this->to = $message->to->name;
        $this->address = $message->to->email;
        $this->by = $message->by?->name;
        $this->subject = $message->subject;
        $this->body = $message->body;
        $this->at = Moment::told($message->created_at);
    }
}
