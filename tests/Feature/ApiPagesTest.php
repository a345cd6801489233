<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\Middleware\AskScope;
use App\Models\Check;
use App\Models\Production;
use App\Models\User;
use App\Security\TokenScope;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Route;
use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Tests\Feature\Support\LedgerTestCase;

/** All that pages do, for programs: by the same rights, with a scope, as JSON that its document describes. */
final class ApiPagesTest extends LedgerTestCase
{
    /** @param  array<string, string>  $headers */
    private function ask(
        User $as,
        string $scope,
        string $method,
        string $path,
        array $data = [],
        array $headers = [],
    ): TestResponse {
        auth()->forgetGuards();
        $token = $as->createToken('test', [$scope])->plainTextToken;

        return $this->json($method, "/api/v1{$path}", $data, ['Authorization' => "Bearer {$token}"] + $headers);
    }

    public function test_a_production_is_worked_on_from_its_list_to_a_check_and_an_acceptance(): void
    {
        $own = "/productions/{$this->production->id}";
        $list = $this->ask($this->coordinator, 'read', 'GET', '/productions')->assertOk();
        self::assertSame(['TC'], array_column($list->json('data'), 'code'));
        $made = $this->ask($this->coordinator, 'write', 'POST', "{$own}/deliverables", [
            'code' => 'TC_030', 'title' => 'more', 'specification' => $this->deliverable->specification_id,
        ])->assertOk();
        self::assertStringContainsString('/deliverables/', (string) $made->json('at'));
        $owed = $this->ask($this->coordinator, 'read', 'GET', "{$own}/deliverables?per_page=2")->assertOk();
        self::assertSame([3, 2, ['TC_010', 'TC_020']], [
            $owed->json('total'), $owed->json('pages'), array_column($owed->json('data'), 'code'),
        ]);
        self::assertStringContainsString('page=2>; rel="next"', (string) $owed->headers->get('Link'));
        $asked = "/deliverables/{$this->deliverable->id}";
        $this->ask($this->coordinator, 'write', 'PATCH', "{$asked}/requirements", [
            'id' => 'picture.resolution', 'value' => '64 x 40', 'level' => 'must', 'scope' => 'deliverable',
        ])->assertOk()->assertJsonStructure(['change', 'at']);
        $this->ask($this->artist, 'check', 'POST', "{$asked}/checks", [
            'root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'quick',
        ])->assertOk();
        $checks = $this->ask($this->artist, 'read', 'GET', "{$asked}/checks")->assertOk();
        self::assertSame('unbalanced', $checks->json('data.0.verdict'));
        // programs read times as the standard has them
        self::assertMatchesRegularExpression('~^\d{4}-\d\d-\d\dT[\d:]{8}Z$~', $checks->json('data.0.made'));
        $check = Check::query()->firstOrFail();
        $this->ask($this->coordinator, 'write', 'POST', "/checks/{$check->id}/waivers", [
            'id' => 'picture.resolution', 'part' => 'frames', 'reason' => 'agreed by telephone',
        ])->assertOk();
        $page = $this->ask($this->coordinator, 'read', 'GET', $own)->assertOk();
        self::assertSame(1, $page->json('board.rows.0.waived'));
        $people = $this->ask($this->coordinator, 'write', 'POST', "{$own}/people", [
            'role' => 'artist', 'people' => 'Juna, juna@practice.example',
        ])->assertOk();
        self::assertStringContainsString('/join/', (string) $people->json('links.0.link'));
        $this->ask($this->coordinator, 'read', 'GET', "/checks/{$check->id}/report.csv")->assertOk()
            ->assertHeader('Content-Type', 'text/csv; charset=utf-8');
    }

    public function test_what_is_wrong_is_told_as_a_problem(): void
    {
        $own = "/productions/{$this->production->id}";
        $told = static fn (TestResponse $answer, int $status): mixed => $answer->assertStatus($status)
            ->assertHeader('Content-Type', 'application/problem+json')->json();
        $wrong = $told($this->ask($this->coordinator, 'write', 'PATCH', "{$own}/settings", ['name' => '']), 422);
        self::assertSame(422, $wrong['status']);
        self::assertSame(['What is it called?'], $wrong['errors']['name']);
        $told($this->ask($this->artist, 'write', 'GET', "{$own}/settings"), 403);
        $told($this->ask($this->coordinator, 'read', 'GET', '/productions/999'), 404);
        $scope = $told($this->ask($this->coordinator, 'check', 'PATCH', "{$own}/settings"), 403);
        self::assertStringContainsString('it needs the scope “write”', $scope['detail']);
        auth()->forgetGuards();
        $told($this->getJson('/api/v1/productions'), 401);
        // what is refused for its sense
        $this->production->update(['archived_at' => now()]);
        $kept = $told($this->ask($this->coordinator, 'write', 'POST', "{$own}/roots", [
            'label' => 'x', 'path' => 'tide/x',
        ]), 422);
        self::assertStringContainsString('is archived', $kept['detail']);
    }

    public function test_a_token_may_never_more_than_its_owner_nor_than_its_scope(): void
    {
        $this->coordinator->forceFill(['is_administrator' => true])->save();
        $begin = ['name' => 'X', 'code' => 'X', 'kind' => 'film'];
        $this->ask($this->coordinator, 'write', 'POST', '/productions', $begin)->assertForbidden();
        $this->ask($this->artist, 'administer', 'POST', '/productions', $begin)->assertForbidden();
        $this->ask($this->coordinator, 'administer', 'POST', '/productions', $begin)->assertOk();
        self::assertNotNull(Production::byCode('X'));
        // nobody makes a token, a password or codes by a token
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if (str_starts_with($route->uri(), 'api/v1/')) {
                self::assertDoesNotMatchRegularExpression('~/(tokens|password|codes|sign-)~', (string) preg_replace(
                    '~/people/\{user\}/(password|codes)$~',
                    '',
                    $route->uri(),
                ));
            }
        }
        $byName = static fn (string $name): TokenScope => AskScope::of(
            Route::getRoutes()->getByName("v1.{$name}") ?? self::fail($name),
        );
        self::assertSame(TokenScope::Administer, $byName('account.password'));
        self::assertSame(TokenScope::Read, $byName('understand'));
        self::assertSame(TokenScope::Check, $byName('checks.store'));
        self::assertSame(TokenScope::Write, $byName('people.drop'));
        $this->actingAs($this->artist, 'web')->postJson('/tokens', [
            'name' => 'a', 'days' => 5, 'scope' => 'administer',
        ])->assertJsonValidationErrorFor('scope');
    }

    public function test_a_call_by_the_same_key_is_done_once(): void
    {
        $path = "/productions/{$this->production->id}/deliverables";
        $data = ['code' => 'TC_031', 'title' => '', 'specification' => $this->deliverable->specification_id];
        $key = ['Idempotency-Key' => 'a1'];
        $first = $this->ask($this->coordinator, 'write', 'POST', $path, $data, $key)->assertOk();
        $again = $this->ask($this->coordinator, 'write', 'POST', $path, $data, $key)->assertOk();
        self::assertSame($first->json(), $again->json());
        $again->assertHeader('Idempotency-Replayed', 'true');
        self::assertSame(1, $this->production->deliverables()->where('code', 'TC_031')->count());
        $other = ['code' => 'TC_032'] + $data;
        $this->ask($this->coordinator, 'write', 'POST', $path, $other, $key)->assertStatus(422);
        $bad = ['Idempotency-Key' => 'a b'];
        $this->ask($this->coordinator, 'write', 'POST', $path, $other, $bad)->assertStatus(400);
        $this->ask($this->coordinator, 'write', 'POST', $path, $data)->assertStatus(422);
    }

    public function test_the_same_key_with_another_file_is_another_call(): void
    {
        $token = $this->coordinator->createToken('test', ['write'])->plainTextToken;
        $send = fn (string $content): TestResponse => $this->call(
            'POST',
            "/api/v1/productions/{$this->production->id}/names",
            [],
            [],
            ['file' => UploadedFile::fake()->createWithContent('names.json', $content)],
            ['HTTP_AUTHORIZATION' => "Bearer {$token}", 'HTTP_IDEMPOTENCY_KEY' => 'f1'],
        );
        $first = $send('{"one": 1}');
        self::assertSame($first->getContent(), $send('{"one": 1}')->getContent());
        self::assertStringContainsString('was used for another call', (string) $send('{"two": 2}')->getContent());
    }

    public function test_it_is_said_what_each_call_answers(): void
    {
        $silent = [];
        foreach ($this->getJson('/api/openapi.json')->assertOk()->json('paths') as $calls) {
            foreach ($calls as $call) {
                // no content: a file
                $schema = $call['responses']['200']['content']['application/json']['schema'] ?? ['file'];
                $line = $schema['properties']['data']['items'] ?? ['one'];
                if ($schema === [] || $line === []) {
                    $silent[] = $call['operationId'];
                }
            }
        }
        self::assertSame([], $silent);
    }

    public function test_answers_are_as_the_document_says(): void
    {
        /** @var array{paths: array<string, array<string, array<string, mixed>>>} $document */
        $document = $this->getJson('/api/openapi.json')->assertOk()->json();
        self::assertGreaterThan(100, count($document['paths']));
        $this->get('/api')->assertOk()->assertSee('PATCH /api/v1/deliverables/{deliverable}/requirements');
        $validator = new Validator;
        $components = json_decode((string) file_get_contents(base_path('docs/schema/openapi.json')))->components;
        $read = [
            'production' => "/productions/{$this->production->id}", 'history' => null, 'settings' => null,
            'specifications' => null, 'people' => null, 'house' => null, 'all.deliverables' => null,
            'frames' => "/deliverables/{$this->deliverable->id}/frames",
            'specification' => "/deliverables/{$this->deliverable->id}/specification",
            'about' => "/deliverables/{$this->deliverable->id}/about",
        ];
        foreach ($document['paths'] as $path => $calls) {
            $name = $calls['get']['operationId'] ?? '';
            $schema = $calls['get']['responses']['200']['content']['application/json']['schema'] ?? [];
            if (! array_key_exists($name, $read) || $schema === []) {
                continue;
            }
            unset($read[$name]);
            $url = strtr($path, [
                '{production}' => (string) $this->production->id, '{deliverable}' => (string) $this->deliverable->id,
            ]);
            $answer = $this->ask($this->coordinator, 'read', 'GET', $url)->assertOk()->getContent();
            // what a document of OpenAPI refers to stands in the schema itself here
            $whole = (object) ['components' => $components, '$ref' => $schema['$ref'] ?? null];
            if ($whole->{'$ref'} === null) {
                $whole = json_decode((string) json_encode($schema + ['components' => $components]));
            }
            $found = $validator->validate(json_decode((string) $answer), $whole);
            self::assertTrue($found->isValid(), "{$name}: ".json_encode(
                $found->error() === null ? [] : (new ErrorFormatter)->format($found->error()),
            ));
        }
        self::assertSame([], $read);
    }
}
