<?php

declare(strict_types=1);

namespace App\Http\Pages\Account;

use App\Http\Pages\RendersPage;

/** The sums people do at the desk. */
final readonly class CalculatorPage
{
    use RendersPage;

    /** @var list<OfferedSum> */
    public array $calculations;

    public function __construct()
    {
        $this->calculations = OfferedSum::all();
    }
}
