<?php

declare(strict_types=1);

namespace PlainLedger\Core\Calculator;

use PlainLedger\Core\Measure\NotUnderstood;

/** One sum that people do at the desk: fields as they are typed in, results with the formula that made them. */
interface Calculation
{
    /** By which it is asked for. */
    public function word(): string;

    public function title(): string;

    /** @return list<Field> */
    public function fields(): array;

    /**
     * @param  Inputs  $given  fields by name; one left empty is not there
     * @return list<Result> none while too little is given
     *
     * @throws NotUnderstood
     */
    public function work(Inputs $given): array;
}
