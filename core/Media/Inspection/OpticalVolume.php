<?php

declare(strict_types=1);

namespace Cobblestone\Media\Inspection;

use Cobblestone\Storage\Reading\ByteSource;

/** What an optical image says of itself: ISO 9660, Joliet, Rock Ridge, UDF (ECMA-119, ECMA-167; rule M2). */
final readonly class OpticalVolume
{
    public const BLOCK = 2048;

    private const FIRST_DESCRIPTOR = 16;

    private const MOST_DESCRIPTORS = 32;

    /** ECMA-167 3/8.4.2.1: the first anchor stands in block 256. */
    private const UDF_ANCHOR = 256;

    private const ANCHOR_TAG = 2;

    /**
     * @param  int|null  $stated  bytes the ISO 9660 volume states
     * @param  array{at: int, bytes: int}|null  $root  the root directory of ISO 9660
     */
    private function __construct(
        public bool $iso,
        public bool $joliet,
        public bool $rockRidge,
        public bool $udf,
        public ?string $label,
        public ?int $stated,
        public ?array $root,
    ) {
    }

    /** Null where neither an ISO 9660 descriptor nor a UDF anchor is found. */
    public static function read(ByteSource $image): ?self
    {
        $label = $stated = $root = null;
        $iso = $joliet = $nsr = false;
        for ($block = self::FIRST_DESCRIPTOR; $block < self::FIRST_DESCRIPTOR + self::MOST_DESCRIPTORS; $block++) {
            $descriptor = $image->read($block * self::BLOCK, self::BLOCK);
            $mark = substr($descriptor, 1, 5);
            if (in_array($mark, ['NSR02', 'NSR03'], true)) {
                $nsr = true;
            } elseif ($mark === 'CD001' && $descriptor[0] === "\x01" && strlen($descriptor) === self::BLOCK) {
                $iso = true;
                [$label, $stated, $root] = self::primary($descriptor);
            } elseif (
                $mark === 'CD001' &&
                $descriptor[0] === "\x02" &&
                in_array(substr($descriptor, 88, 3), ['%/@', '%/C', '%/E'], true)
            ) {
                $joliet = true;
            } elseif (! in_array($mark, ['CD001', 'BEA01', 'TEA01', 'BOOT2'], true)) {
                break;
            }
        }
        $udf = $nsr && self::anchored($image);

        return $iso || $udf
            ? new self(
                $iso,
                $joliet,
                $root !== null && self::hasRockRidge($image, $root['at']),
                $udf,
                $label,
                $stated,
                $root,
            )
            : null;
    }

    /** @return array{0: string, 1: int, 2: array{at: int, bytes: int}} label, bytes it states, and its root folder */
    private static function primary(string $descriptor): array
    {
        /** @var array{1: int} $blocks */
        $blocks = unpack('V', $descriptor, 80);
        /** @var array{1: int, 2: int, 3: int} $place */
        $place = unpack('V3', $descriptor, 158);

        return [
            trim(self::printable(substr($descriptor, 40, 32))),
            $blocks[1] * self::BLOCK,
            ['at' => $place[1] * self::BLOCK, 'bytes' => $place[3]],
        ];
    }

    /**
     * @return array{iso9660: bool, joliet: bool, rock_ridge: bool, udf: bool, label: string|null,
     *     stated_bytes: int|null}
     */
    public function toArray(): array
    {
        return [
            'iso9660' => $this->iso,
            'joliet' => $this->joliet,
            'rock_ridge' => $this->rockRidge,
            'udf' => $this->udf,
            'label' => $this->label,
            'stated_bytes' => $this->stated,
        ];
    }

    /**
     * One of these has to hold an anchor: block 256, the last, or 256 before the end, which tools count from the last
     * block or behind it.
     */
    private static function anchored(ByteSource $image): bool
    {
        $last = intdiv($image->size(), self::BLOCK) - 1;
        foreach ([self::UDF_ANCHOR, $last - self::UDF_ANCHOR, $last + 1 - self::UDF_ANCHOR, $last] as $block) {
            $tag = $block < 0 ? '' : $image->read($block * self::BLOCK, 16);
            if (strlen($tag) < 16) {
                continue;
            }
            $bytes = array_values((array) unpack('C16', $tag));
            $sum = (array_sum($bytes) - $bytes[4]) & 0xFF;
            if (($bytes[0] | ($bytes[1] << 8)) === self::ANCHOR_TAG && $sum === $bytes[4]) {
                return true;
            }
        }

        return false;
    }

    /** System Use Sharing Protocol: its mark stands in the root's own first record. */
    private static function hasRockRidge(ByteSource $image, int $root): bool
    {
        $record = $image->read($root, 256);
        if (strlen($record) < 34) {
            return false;
        }
        $area = substr(
            $record,
            33 + ord($record[32]) + (ord($record[32]) % 2 === 0 ? 1 : 0),
            max(0, ord($record[0]) - 34),
        );

        return str_starts_with($area, "SP\x07\x01\xBE\xEF") ||
            str_starts_with(substr($record, 34), "SP\x07\x01\xBE\xEF");
    }

    private static function printable(string $text): string
    {
        return (string) preg_replace('/[^\x20-\x7E]/', '', $text);
    }
}
