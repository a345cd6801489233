<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

/** Where a delivery lies. */
final readonly class DeliveryPlace
{
    /**
     * @param  string  $root  its last few folders, as it was chosen; empty where it lies in none
     * @param  bool  $mayGrow  whether more may be on its way
     */
    public function __construct(public string $root = '', public bool $mayGrow = true) {}
}
