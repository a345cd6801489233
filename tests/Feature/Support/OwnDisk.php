<?php

declare(strict_types=1);

namespace Tests\Feature\Support;

use Illuminate\Testing\TestResponse;
use PlainLedger\Core\Delivery\FolderListing;

/** A folder of somebody's own, told of and sent as their browser does it. */
trait OwnDisk
{
    private function folder(): string
    {
        return "{$this->intake->folder}/tide/TC_010/v1";
    }

    private function begin(bool $whole = false): string
    {
        $answer = $this->postJson(
            "/deliverables/{$this->deliverable->id}/picked",
            ['folder' => 'v1', 'now' => (int) (microtime(true) * 1000), 'whole' => $whole],
        )->assertOk();

        return "/picked/{$answer->json('token')}";
    }

    /** @return list<array{string, int, int}> */
    private function names(): array
    {
        $names = [];
        foreach (FolderListing::of($this->folder())->files() as $file) {
            $names[] = [$file->path(), $file->size, $file->modified * 1000];
        }

        return $names;
    }

    /**
     * @param  array<int, list<array{int, int}>>  $ranges
     * @param  array<string, mixed>  $head  further of it
     */
    private function body(array $ranges, array $head = []): string
    {
        $names = $this->names();
        [$slices, $bytes] = [[], ''];
        foreach ($ranges as $file => $each) {
            foreach ($each as [$offset, $length]) {
                $path = "{$this->folder()}/{$names[$file - 1][0]}";
                $slices[] = [(int) $file, $offset, $length];
                $bytes .= file_get_contents($path, offset: $offset, length: $length);
            }
        }
        $json = json_encode($head + ['slices' => $slices, 'gone' => [], 'sums' => (object) []], JSON_THROW_ON_ERROR);

        return pack('N', strlen($json)).$json.$bytes;
    }

    private function send(string $at, string $body): TestResponse
    {
        $headers = ['CONTENT_TYPE' => 'application/octet-stream', 'HTTP_ACCEPT' => 'application/json'];

        return $this->call('POST', "{$at}/slices", [], [], [], $headers, $body);
    }

    /** @return array<string, mixed> the last answer */
    private function throughToTheEnd(string $at): array
    {
        $answer = $this->postJson("{$at}/names", ['files' => $this->names(), 'all' => true])->assertOk()->json();
        for ($n = 0; ! isset($answer['ended']) && $n < 30; $n++) {
            $answer = $this->send($at, $this->body($answer['ranges']))->assertOk()->json();
        }

        return $answer;
    }
}
