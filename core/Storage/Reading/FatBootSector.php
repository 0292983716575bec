<?php

declare(strict_types=1);

namespace Cobblestone\Storage\Reading;

/** The first sector of a FAT file system: where its tables and its data stand (the FAT specification, "BPB"). */
final readonly class FatBootSector
{
    private const FIELDS = 'vsector/Cspc/vreserved/Cfats/vroot/vsmall/Cmedia/vfat16/vtrack/vheads/Vhidden/Vlarge'.
        '/Vfat32/vflags/vversion/VrootCluster';

    private const SECTORS = [512, 1024, 2048, 4096];

    /** @param  array<string, int>  $fields */
    private function __construct(private array $fields)
    {
    }

    /**
     * Null where it is not that of a FAT file system.
     *
     * @param  bool  $marked  whether it has to begin with a jump and to end in 55AA, which firmware does not ask for
     */
    public static function of(string $bytes, bool $marked = true): ?self
    {
        $isMarked = substr($bytes, 510) === "\x55\xAA" && in_array($bytes[0], ["\xEB", "\xE9"], true);
        if (strlen($bytes) < 512 || ($marked && ! $isMarked)) {
            return null;
        }
        $fields = [];
        foreach (unpack(self::FIELDS, $bytes, 11) ?: [] as $name => $value) {
            $fields[(string) $name] = is_int($value) ? $value : 0;
        }
        $boot = new self($fields);

        return $boot->isSound() && $boot->dataAt() < $boot->sectors() ? $boot : null;
    }

    /** The count of clusters alone decides between the two old kinds ("FAT type determination"). */
    public function kind(): string
    {
        return match (true) {
            $this->fields['fat16'] === 0 => 'fat32',
            $this->clusters() < 4085 => 'fat12',
            default => 'fat16',
        };
    }

    /** @return array<string, int> sector and root in bytes, spc in sectors, places in sectors from the start */
    public function geometry(): array
    {
        $f = $this->fields;

        return [
            'sector' => $f['sector'],
            'spc' => $f['spc'],
            'reserved' => $f['reserved'],
            'fats' => $f['fats'],
            'fat_sectors' => $this->fatSectors(),
            'sectors' => $this->sectors(),
            'hidden' => $f['hidden'],
            'root_at' => $f['reserved'] + $f['fats'] * $this->fatSectors(),
            'root_bytes' => $f['root'] * 32,
            'root_cluster' => $this->kind() === 'fat32' ? $f['rootCluster'] : 0,
            'data_at' => $this->dataAt(),
            'clusters' => $this->clusters(),
        ];
    }

    private function isSound(): bool
    {
        $f = $this->fields;

        return in_array($f['sector'], self::SECTORS, true) &&
            $f['spc'] > 0 &&
            ($f['spc'] & ($f['spc'] - 1)) === 0 &&
            $f['reserved'] > 0 &&
            ($f['fats'] === 1 || $f['fats'] === 2) &&
            $f['media'] >= 0xF0 &&
            $this->sectors() !== 0 &&
            $this->fatSectors() !== 0;
    }

    private function sectors(): int
    {
        return $this->fields['small'] !== 0 ? $this->fields['small'] : $this->fields['large'];
    }

    private function fatSectors(): int
    {
        return $this->fields['fat16'] !== 0 ? $this->fields['fat16'] : $this->fields['fat32'];
    }

    private function dataAt(): int
    {
        $f = $this->fields;
        $rootSectors = intdiv($f['root'] * 32 + $f['sector'] - 1, $f['sector']);

        return $f['reserved'] + $f['fats'] * $this->fatSectors() + $rootSectors;
    }

    private function clusters(): int
    {
        return intdiv($this->sectors() - $this->dataAt(), $this->fields['spc']);
    }
}
