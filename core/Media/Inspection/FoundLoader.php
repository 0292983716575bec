<?php

declare(strict_types=1);

namespace Cobblestone\Media\Inspection;

/** A UEFI loader at the path that firmware tries by itself, where it was found and what it is. */
final readonly class FoundLoader
{
    /** UEFI specification 2.10, table 3.2: file name => architecture. */
    public const NAMES = [
        'BOOTIA32.EFI' => 'x86-32',
        'BOOTX64.EFI' => 'x86-64',
        'BOOTARM.EFI' => 'arm-32',
        'BOOTAA64.EFI' => 'arm-64',
        'BOOTRISCV64.EFI' => 'riscv-64',
        'BOOTLOONGARCH64.EFI' => 'loongarch-64',
    ];

    public const FOLDER = 'EFI/BOOT';

    /** Loaders are far smaller; more than this is not read of one. */
    public const LARGEST = 3_145_728;

    /**
     * @param  string  $where  partition, el-torito or files
     * @param  string|null  $fault  why firmware would not take it for a loader
     * @param  list<string>  $signers
     */
    private function __construct(
        public string $path,
        public string $where,
        public string $place,
        public string $architecture,
        public int $bytes,
        public ?string $fault,
        public ?LoaderTrust $trust,
        public string $because,
        public array $signers,
        public ?string $digest,
    ) {
    }

    /**
     * @param  int  $read  bytes of it that were read
     * @param  list<string>  $signers
     */
    public static function of(
        LoaderFileSeen $file,
        ?PeImage $pe,
        int $read,
        ?LoaderTrust $trust,
        string $because,
        array $signers,
    ): self {
        $wanted = self::NAMES[strtoupper($file->name)];

        return new self(
            self::FOLDER.'/'.strtoupper($file->name),
            $file->where,
            $file->place,
            $wanted,
            $file->bytes,
            self::fault($pe, $wanted, $read < $file->bytes),
            $trust,
            $because,
            $signers,
            $pe?->digest(),
        );
    }

    public static function tooLarge(LoaderFileSeen $file): self
    {
        return new self(
            self::FOLDER.'/'.strtoupper($file->name),
            $file->where,
            $file->place,
            self::NAMES[strtoupper($file->name)],
            $file->bytes,
            null,
            LoaderTrust::CannotTell,
            'It is larger than any loader that is read here.',
            [],
            null,
        );
    }

    private static function fault(?PeImage $pe, string $wanted, bool $isShort): ?string
    {
        return match (true) {
            $pe === null => 'it is no PE file, so firmware takes it for missing',
            ! $pe->isEfi => 'it is a program, but not for UEFI',
            $pe->architecture !== $wanted => 'it is built for '
                .($pe->architecture ?? sprintf('machine type 0x%04X', $pe->machine))
                .", its name says {$wanted}",
            ! $pe->isWhole() || $isShort => 'part of it is missing',
            default => null,
        };
    }

    /** The same file seen another way. */
    public function alsoIn(string $where, string $place): self
    {
        return new self(
            $this->path,
            $where,
            $place,
            $this->architecture,
            $this->bytes,
            $this->fault,
            $this->trust,
            $this->because,
            $this->signers,
            $this->digest,
        );
    }

    /** The path firmware of that architecture tries by itself on a removable drive. */
    public static function defaultPath(string $architecture): string
    {
        $name = array_search($architecture, self::NAMES, true);

        return self::FOLDER.'/'.($name === false ? 'BOOTX64.EFI' : $name);
    }

    /**
     * @return array{
     *   path: string, where: string, place: string, architecture: string, bytes: int, fault: string|null,
     *   trust: string|null, because: string, signers: list<string>, digest: string|null
     * }
     */
    public function toArray(): array
    {
        return [
            'path' => $this->path,
            'where' => $this->where,
            'place' => $this->place,
            'architecture' => $this->architecture,
            'bytes' => $this->bytes,
            'fault' => $this->fault,
            'trust' => $this->trust?->value,
            'because' => $this->because,
            'signers' => $this->signers,
            'digest' => $this->digest,
        ];
    }
}
