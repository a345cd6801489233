<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Production;
use App\Models\Rules\RootRefused;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\Factories\ProductionFactory;
use Tests\Feature\Support\LedgerTestCase;

/** Nobody's intake lies in another's. */
final class IntakeRootsTest extends LedgerTestCase
{
    /** @return iterable<string, array{string}> beside a production whose files lie below `tide` */
    public static function refused(): iterable
    {
        foreach ([
            '{shot}', '', '.', '..', 'tide', 'TIDE/{learner}', 'tide/deeper/{shot}', 'tide/{shot}/x', '../tide',
            'a/../tide', '/etc', 'x/./y',
        ] as $path) {
            yield "“{$path}”" => [$path];
        }
    }

    #[DataProvider('refused')]
    public function test_a_root_in_another_ones_place_is_refused(string $path): void
    {
        $other = ProductionFactory::new()->create();
        $this->expectException(RootRefused::class);
        $other->intakeRoots()->create(['label' => 'Intake', 'path' => $path]);
    }

    public function test_one_beside_it_is_not(): void
    {
        $other = ProductionFactory::new()->create();
        $other->intakeRoots()->create(['label' => 'Intake', 'path' => 'tide_two/{shot}']);
        // of one production they may: its people are the same
        $this->production->intakeRoots()->create(['label' => 'Deeper', 'path' => 'tide/editorial']);

        self::assertSame(2, $this->production->intakeRoots()->count());
    }

    public function test_codes_are_the_same_whatever_their_case(): void
    {
        $begin = fn (string $code): int => $this->withoutMockingConsoleOutput()->artisan(
            'ledger:begin',
            [
                '--name' => 'Somebody',
                '--email' => 'somebody@harbour.example',
                '--password' => 'quite a long password',
                '--production' => 'Another',
                '--code' => $code,
            ],
        );
        self::assertSame(0, $begin('tc'));
        self::assertSame(1, Production::query()->count());
        foreach (['_', '-', '.', '__-', ''] as $none) {
            self::assertSame(2, $begin($none), $none);
        }
        self::assertSame(0, $begin('A-B'));
        // its folder would be that of the one before
        self::assertSame(2, $begin('A_B'));
        $this->actingAs($this->coordinator)
            ->from('/x')
            ->post(
                "/productions/{$this->production->id}/deliverables",
                ['code' => 'tc_010', 'specification' => $this->deliverable->specification_id],
            )
            ->assertSessionHasErrors('code');
        $this->withToken($this->coordinator->createToken('test', ['read'])->plainTextToken)
            ->getJson('/api/productions/tc/deliverables/Tc_010/settings')
            ->assertOk();
    }
}
