<?php

namespace App\Actions;

use App\Devices\Bundle;
use Cobblestone\Document\Fields;
use Cobblestone\Inventory\InventoryReader;
use Cobblestone\Inventory\Reading;
use Cobblestone\Inventory\ReadingSet;
use Cobblestone\Inventory\SystemNoteReader;
use Cobblestone\Inventory\UnreadableInventory;

/** Opens what was uploaded or pasted and reads each file of it; what cannot be read is listed and changes nothing. */
final class ReadInventory
{
    /** @var list<Reading> */
    public array $readings = [];

    /** @var list<string> */
    public array $problems = [];

    /**
     * Seconds and bytes of text that one request may take: a whole bundle of the collector takes a fraction of both.
     */
    private const SECONDS = 8.0;

    private const BYTES = 32_000_000;

    private readonly float $begun;

    private int $bytes = 0;

    public function __construct(private readonly string $at)
    {
        $this->begun = microtime(true);
    }

    public function file(string $path, string $name): self
    {
        [$files, $notes] = Bundle::open($path, $name);
        array_push($this->problems, ...$notes);
        // A bundle says itself when it was collected; that counts for all of it.
        $at = $this->at;
        foreach ($files as $text) {
            if (str_starts_with($text, SystemNoteReader::HEAD)) {
                $at = SystemNoteReader::read($text)->at ?? $at;
            }
        }
        foreach ($files as $member => $text) {
            $this->text($text, (string) $member, $at);
        }

        return $this;
    }

    public function text(string $text, string $name = 'pasted', ?string $at = null): self
    {
        $this->bytes += strlen($text);
        if ($this->bytes > self::BYTES || microtime(true) - $this->begun > self::SECONDS) {
            $this->problems[] = sprintf(
                '"%s" was left out: more than %.0f MB of text, or more than %.0f s of reading, is not taken at once. '
                    .'Bring fewer files.',
                mb_substr(mb_scrub($name), 0, 80),
                self::BYTES / 1e6,
                self::SECONDS,
            );

            return $this;
        }
        try {
            $reading = InventoryReader::read($text, mb_substr(mb_scrub($name), 0, 120), $at ?? $this->at);
            $this->readings[] = $reading;
            if ($reading->isEmpty()) {
                $this->problems = [
                    ...$this->problems,
                    ...$reading->notes === [] ? ["\"{$name}\": nothing in it could be used."] : $reading->notes,
                ];
            }
        } catch (UnreadableInventory $e) {
            $this->problems[] = $name === 'pasted' ? $e->getMessage() : "\"{$name}\": ".lcfirst($e->getMessage());
        }

        return $this;
    }

    /**
     * The brief's machine with what was read; the same again changes nothing.
     *
     * @param  array<string, mixed>  $machine
     * @return array{0: array<string, mixed>, 1: list<string>} and what is new
     */
    public function into(array $machine): array
    {
        $set = ReadingSet::merge(Fields::of($machine)->each('readings', Reading::read(...)), $this->readings);
        if ($set->new !== []) {
            $machine['readings'] = $set->toArray();
        }

        return [$machine, $set->new];
    }
}
