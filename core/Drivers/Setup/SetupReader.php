<?php

declare(strict_types=1);

namespace Cobblestone\Drivers\Setup;

use Cobblestone\Machine\Identifier\Bus;
use Cobblestone\Machine\Identifier\HardwareIdentifier;
use Cobblestone\Machine\Identifier\IdentifierReader;

/** Reads what a setup-information file claims: its makers, their sections of models, and the lines of these (D2). */
final class SetupReader
{
    /** More than the largest package claims. */
    private const MOST_CLAIMS = 50_000;

    /** @var list<SetupClaim> */
    private array $claims = [];

    /** @var array<string, list<string>> section of an install => normal forms it is not for */
    private array $excluded = [];

    /** @var array<string, true> sections that were read: a maker may be named as often as somebody likes */
    private array $seen = [];

    private bool $isFull = false;

    private function __construct(private readonly SetupSections $sections)
    {
    }

    public static function read(string $bytes): SetupInformation
    {
        $sections = new SetupSections(SetupText::decode(substr($bytes, 0, SetupText::LONGEST)));
        if (strlen($bytes) > SetupText::LONGEST) {
            $sections->fault(1, 'the file is longer than 8 MiB; what stands behind that is not read');
        }
        $reader = new self($sections);
        $reader->models();

        return $reader->information();
    }

    private function information(): SetupInformation
    {
        $values = [];
        $catalogues = [];
        foreach ($this->sections->lines('version') as $line) {
            $key = strtolower((string) $line->key);
            if (preg_match('/^catalogfile(?:\.|$)/', $key) === 1 && $line->value(0) !== '') {
                $catalogues[] = $line->value(0);
            }
            $values[$key] ??= $line;
        }
        if (! $this->sections->has('version')) {
            $this->sections->fault(1, 'there is no section [Version]');
        }
        $word = static fn (string $key): ?string => ($values[$key] ?? null)?->value(0) ?: null;
        $stamp = $values['driverver'] ?? null;

        return new SetupInformation(
            $word('class'),
            $word('provider'),
            $stamp?->value(1) ?: null,
            $stamp === null ? null : $this->date($stamp),
            $catalogues,
            $this->claims,
            $this->sections->faults(),
        );
    }

    /** Month, day and year, as these files write it. */
    private function date(SetupLine $line): ?string
    {
        if (
            preg_match('/^(\d{1,2})[\/-](\d{1,2})[\/-](\d{4})$/', $line->value(0), $part) === 1 &&
            checkdate((int) $part[1], (int) $part[2], (int) $part[3])
        ) {
            return sprintf('%s-%02d-%02d', $part[3], $part[1], $part[2]);
        }
        $this->sections->fault($line->number, 'the date is not month, day and year: '.self::shown($line->value(0)));

        return null;
    }

    private function models(): void
    {
        if (! $this->sections->has('manufacturer')) {
            $this->sections->fault(1, 'there is no section [Manufacturer], so it claims no device');
        }
        foreach ($this->sections->lines('manufacturer') as $maker) {
            $name = $maker->key === null ? $maker->value(0) : ($maker->value(0) ?: $maker->key);
            $decorations = array_filter(array_slice($maker->values, 1), static fn (string $end): bool => $end !== '');
            if ($decorations === []) {
                $this->section($name, Decoration::none(), $maker->number);
            }
            foreach ($decorations as $end) {
                $decoration = Decoration::of($end);
                if ($decoration->isKnown) {
                    $this->section("{$name}.{$decoration->text}", $decoration, $maker->number);
                } else {
                    $this->sections->fault($maker->number, 'no processor is known by '.self::shown($end));
                }
            }
        }
    }

    private function section(string $name, Decoration $decoration, int $named): void
    {
        $key = strtolower($name)."\n".strtolower($decoration->text);
        if (isset($this->seen[$key])) {
            return;
        }
        $this->seen[$key] = true;
        if (! $this->sections->has($name)) {
            $this->sections->fault($named, 'it names a section that is not there: '.self::shown($name));
        }
        foreach ($this->sections->lines($name) as $line) {
            if ($this->isFull) {
                return;
            }
            $this->line($line, $decoration);
        }
    }

    private function line(SetupLine $line, Decoration $decoration): void
    {
        $install = $line->value(0);
        foreach (array_slice($line->values, 1) as $place => $text) {
            if ($text === '') {
                continue;
            }
            $identifier = self::identifier($text);
            if ($identifier === null) {
                $this->sections->fault($line->number, 'no identifier of a device: '.self::shown($text));
            } elseif (count($this->claims) >= self::MOST_CLAIMS) {
                $this->isFull = true;
                $this->sections->fault($line->number, 'it claims more than 50 000 devices; the rest is not read');

                return;
            } else {
                $this->claims[] = new SetupClaim(
                    $identifier,
                    $line->key ?? $install,
                    $decoration->architecture,
                    $decoration->fromBuild,
                    $place > 0,
                    $this->excluded[strtolower($install)] ??= $this->excludedBy($install),
                );
            }
        }
    }

    /** @return list<string> */
    private function excludedBy(string $install): array
    {
        $excluded = [];
        foreach (['', '.nt', '.ntamd64', '.ntarm64', '.ntx86'] as $end) {
            foreach ($this->sections->has($install.$end) ? $this->sections->lines($install.$end) : [] as $line) {
                if (strtolower((string) $line->key) === 'excludeid') {
                    foreach ($line->values as $text) {
                        $excluded[] = self::identifier($text)?->text();
                    }
                }
            }
        }

        return array_values(array_unique(array_filter($excluded)));
    }

    /** A word without a bus is an identifier of its maker's own; one of a known bus in a wrong form is none. */
    private static function identifier(string $text): ?HardwareIdentifier
    {
        $word = strtolower(trim($text));
        $read = IdentifierReader::all($word);

        return match (true) {
            $read !== [] => $read[0],
            preg_match('/^[^\\\\*\s]{1,200}$/', $word) === 1 => new HardwareIdentifier(Bus::Other, other: $word),
            default => null,
        };
    }

    private static function shown(string $text): string
    {
        return '"'.mb_substr((string) preg_replace('/[\x00-\x1f\x7f]+/', ' ', $text), 0, 60).'"';
    }
}
