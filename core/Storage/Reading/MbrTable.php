<?php

declare(strict_types=1);

namespace Cobblestone\Storage\Reading;

/** The four entries of sector 0, and the chain that an extended entry begins (UEFI specification 2.10, 5.2). */
final readonly class MbrTable
{
    public const PROTECTIVE = 0xEE;

    private const EXTENDED = [0x05, 0x0F, 0x85];

    /** Logical partitions are a chain on the device; a chain that bites its tail ends here. */
    private const LONGEST_CHAIN = 128;

    /**
     * @param  bool  $hasCode  whether something other than zeros stands where legacy firmware would begin
     * @param  list<ReadPartition>  $partitions
     * @param  list<string>  $faults
     */
    private function __construct(
        public bool $hasCode,
        public array $partitions,
        public array $faults,
        public ?int $protectiveLength,
    ) {
    }

    /** Null without the mark 55AA, or where an entry's flag byte is neither 00 nor 80: that is no table. */
    public static function read(ByteSource $source, int $sector): ?self
    {
        $boot = $source->read(0, 512);
        if (strlen($boot) < 512 || substr($boot, 510) !== "\x55\xAA") {
            return null;
        }
        $partitions = $faults = [];
        $protective = null;
        for ($slot = 0; $slot < 4; $slot++) {
            $entry = self::entry(substr($boot, 446 + 16 * $slot, 16));
            if ($entry === null) {
                return null;
            }
            [$active, $type, $first, $count] = $entry;
            if ($type === 0) {
                continue;
            }
            if ($type === self::PROTECTIVE) {
                $protective = $first === 1 ? $count : $protective ?? 0;
            }
            $partitions[] = new ReadPartition($slot + 1, $first, $count, sprintf('0x%02X', $type), active: $active);
            if (in_array($type, self::EXTENDED, true)) {
                [$logical, $chainFaults] = self::chain($source, $sector, $first);
                array_push($partitions, ...$logical);
                array_push($faults, ...$chainFaults);
            }
        }

        return new self(trim(substr($boot, 0, 440), "\0") !== '', $partitions, $faults, $protective);
    }

    /** Whether sector 0 announces a GPT: firmware asks for such an entry alone, not for the mark 55AA behind it. */
    public static function announcesGpt(ByteSource $source): bool
    {
        $entries = str_split(substr($source->read(0, 512), 446, 64), 16);

        return array_filter($entries, static fn (string $entry): bool => strlen($entry) === 16
            && ord($entry[4]) === self::PROTECTIVE && substr($entry, 8, 4) === "\1\0\0\0") !== [];
    }

    /** Whether a GPT is to be expected behind it. */
    public function isProtective(): bool
    {
        return $this->protectiveLength !== null;
    }

    /** Protective and carrying other partitions of its own beside. */
    public function isHybrid(): bool
    {
        return $this->isProtective() && count($this->partitions) > 1;
    }

    /** @return array{bool, int, int, int}|null */
    private static function entry(string $bytes): ?array
    {
        $flag = ord($bytes[0]);
        /** @var array{1: int, 2: int} $place */
        $place = unpack('V2', $bytes, 8);

        return $flag === 0 || $flag === 0x80 ? [$flag === 0x80, ord($bytes[4]), $place[1], $place[2]] : null;
    }

    /** @return array{0: list<ReadPartition>, 1: list<string>} */
    private static function chain(ByteSource $source, int $sector, int $base): array
    {
        $partitions = [];
        $seen = [];
        $at = $base;
        while (! isset($seen[$at])) {
            $seen[$at] = true;
            if (count($seen) > self::LONGEST_CHAIN) {
                return [
                    $partitions,
                    [
                        'The chain of logical partitions is longer than '.
                        self::LONGEST_CHAIN.
                        ': the rest was not followed.',
                    ],
                ];
            }
            $link = $source->read($at * $sector, 512);
            if (strlen($link) < 512 || substr($link, 510) !== "\x55\xAA") {
                return [$partitions, ["The chain of logical partitions breaks off at sector {$at}."]];
            }
            $own = self::entry(substr($link, 446, 16));
            $next = self::entry(substr($link, 462, 16));
            if ($own !== null && $own[1] !== 0) {
                $partitions[] = new ReadPartition(
                    4 + count($seen),
                    $at + $own[2],
                    $own[3],
                    sprintf('0x%02X', $own[1]),
                    active: $own[0],
                );
            }
            if ($next === null || $next[1] === 0) {
                return [$partitions, []];
            }
            $at = $base + $next[2];
        }

        return [$partitions, ["The chain of logical partitions leads back to sector {$at}: it was followed once."]];
    }
}
