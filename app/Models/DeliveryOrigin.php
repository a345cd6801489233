<?php

declare(strict_types=1);

namespace App\Models;

/** Where the files of a delivery lie. */
enum DeliveryOrigin: string
{
    /** In an intake of the production. */
    case Intake = 'intake';

    /** On the disk of whoever had them looked at. */
    case Own = 'own';

    /** In an archive that was uploaded. */
    case Upload = 'upload';
}
