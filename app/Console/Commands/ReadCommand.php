<?php

namespace App\Console\Commands;

use App\Actions\ReadInventory;
use Cobblestone\Inventory\InventoryReader;
use Cobblestone\Inventory\Reading;
use Cobblestone\Machine\HealthReading;
use Symfony\Component\Yaml\Yaml;

/** Reads a collector's bundle or single files and prints what was understood. */
final class ReadCommand extends PlainCommand
{
    protected $signature = 'cobblestone:read {file* : bundles or files of single tools} {--json : as JSON} {--yaml : '
        .'as the "readings" block of a brief}';

    protected $description = 'Read what a machine says of itself';

    public function handle(): int
    {
        $read = new ReadInventory(now()->utc()->format('Y-m-d\TH:i\Z'));
        foreach ((array) $this->argument('file') as $file) {
            if (! is_file($file)) {
                $this->error("There is no file {$file}.");

                return self::FAILURE;
            }
            $read->file($file, basename($file));
        }
        $readings = array_map(
            static fn (Reading $reading): array => $reading->toArray(),
            array_values(array_filter($read->readings, static fn (Reading $reading): bool => ! $reading->isEmpty())),
        );
        if ($this->option('json')) {
            return $this->asJson($readings, $read);
        }
        if ($this->option('yaml')) {
            $this->line(rtrim(Yaml::dump(['readings' => $readings], 6, 2, Yaml::DUMP_MULTI_LINE_LITERAL_BLOCK)));

            return $readings === [] ? self::FAILURE : self::SUCCESS;
        }
        foreach ($read->readings as $reading) {
            $this->show($reading);
        }
        foreach ($read->problems as $problem) {
            $this->line("not read: {$problem}");
        }

        return $readings === [] ? self::FAILURE : self::SUCCESS;
    }

    private function show(Reading $reading): void
    {
        $this->line(
            InventoryReader::COMMANDS[$reading->tool]." · {$reading->origin} · ".($reading->at ?? 'no time'),
        );
        foreach ($reading->facts as $name => $value) {
            $this->line(
                self::factLine($name, $value),
            );
        }
        foreach ([...$reading->devices, ...$reading->modules] as $thing) {
            $this->line(
                '  '.
                    ($thing instanceof \Cobblestone\Machine\Device
                        ? "{$thing->identifier}  {$thing->name}"
                        : $thing->title()),
            );
        }
        foreach ($reading->health as $health) {
            $this->line(
                self::healthLine($health),
            );
        }
        foreach ($reading->notes as $note) {
            $this->line("  note: {$note}");
        }
    }

    /**
     * @param  list<array<string, mixed>>  $readings
     */
    private function asJson(array $readings, ReadInventory $read): int
    {
        $this->line(
            (string) json_encode(
                ['readings' => $readings, 'problems' => $read->problems],
                JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
            ),
        );

        return $readings === [] ? self::FAILURE : self::SUCCESS;
    }

    /**
     * @param  bool|float|int|list<string>|string  $value
     */
    private static function factLine(string $name, bool|float|int|array|string $value): string
    {
        return "  {$name} = ".
            (is_array($value)
                ? implode('; ', $value)
                : (is_bool($value)
                    ? ($value
                        ? 'yes'
                        : 'no')
                    : $value));
    }

    private static function healthLine(HealthReading $health): string
    {
        return "  {$health->model} {$health->kind}: ".
            implode(
                ', ',
                array_map(
                    static fn ($name, int $value): string => "{$name} {$value}",
                    array_keys($health->figures),
                    $health->figures,
                ),
            );
    }
}
