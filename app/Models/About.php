<?php

declare(strict_types=1);

namespace App\Models;

/** What an act had to do with: the first that one looks for it by. */
enum About: string
{
    case Production = 'production';
    case People = 'people';
    case Deliverable = 'deliverable';
    case Specification = 'specification';
    case Requirement = 'requirement';
    case Acceptance = 'acceptance';
    case Files = 'files';
    case Link = 'link';
    case Account = 'account';
    case Submission = 'submission';
}
