<?php

declare(strict_types=1);

namespace App\Webhooks;

/** What an address elsewhere can be told of. */
enum WebhookEvent: string
{
    case CheckEnded = 'check.ended';
    case DeliverableAdded = 'deliverable.added';
    case RequirementChanged = 'requirement.changed';
    case LineAccepted = 'line.accepted';
    case SubmissionSigned = 'submission.signed';
    case SubmissionWithdrawn = 'submission.withdrawn';
    case HandedIn = 'work.handed-in';
    case Test = 'test';
}
