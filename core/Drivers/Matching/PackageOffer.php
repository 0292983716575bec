<?php

declare(strict_types=1);

namespace Cobblestone\Drivers\Matching;

use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Catalogue\SetupFile;
use Cobblestone\Catalogue\SetupFileClaim;
use Cobblestone\Drivers\Setup\SetupClaim;
use Cobblestone\Drivers\Setup\SetupInformation;

/** A package on the shelf as matching sees it, whether a manifest describes it or its own setup file does (D2, D3). */
final readonly class PackageOffer
{
    /**
     * @param  string  $source  where on the shelf it lies
     * @param  string|null  $setupFile  path of the setup-information file within it
     * @param  string  $line  packages of one line follow each other by version; others cannot be compared so
     * @param  string|null  $date  as 2026-11-01
     * @param  list<OfferedClaim>  $claims
     * @param  list<string>|null  $systems  the only ones it is for; null where its builds say it
     * @param  list<string>  $models  the only ones it is for; empty for any
     * @param  list<string>  $revisions  of the board, the only ones it is for; empty for any
     */
    public function __construct(
        public string $id,
        public string $source,
        public ?string $setupFile,
        public string $line,
        public ?string $version,
        public ?string $date,
        public array $claims,
        public ?array $systems = null,
        public ?int $toBuild = null,
        public array $models = [],
        public array $revisions = [],
        public string $channel = DriverPackage::STABLE,
        public bool $signed = true,
    ) {
    }

    /**
     * A package of the catalogue: what its manifest says of it, or what each of its own setup files does.
     *
     * @param  string  $source  where on the shelf it lies
     * @return list<self>
     */
    public static function of(DriverPackage $package, string $source): array
    {
        if ($package->setupFiles === []) {
            return [
                self::offered($package, $source, null, ! $package->unsigned, array_map(
                    static fn (string $claim): OfferedClaim => new OfferedClaim(
                        $claim,
                        $package->architecture,
                        $package->fromBuild,
                    ),
                    $package->claimed(),
                )),
            ];
        }

        return array_map(
            static fn (SetupFile $file): self => self::offered($package, $source, $file, $file->signed, array_map(
                static fn (SetupFileClaim $claim): OfferedClaim => new OfferedClaim(
                    $claim->id,
                    $claim->architecture,
                    $claim->fromBuild,
                    $claim->compatible,
                    $claim->excluded,
                ),
                $file->claims,
            )),
            $package->setupFiles,
        );
    }

    /** @param  list<OfferedClaim>  $claims */
    private static function offered(
        DriverPackage $package,
        string $source,
        ?SetupFile $file,
        bool $signed,
        array $claims,
    ): self {
        return new self(
            $package->id,
            $source,
            $file?->path,
            $file === null ? $package->name : self::line($file->provider, $file->path),
            $file->version ?? $package->version,
            $file->date ?? $package->date,
            $claims,
            $package->systems,
            $package->toBuild,
            $package->models,
            $package->revisions,
            $package->channel ?? DriverPackage::STABLE,
            $signed,
        );
    }

    private static function line(?string $provider, string $setupFile): string
    {
        return strtolower($provider.' '.basename($setupFile));
    }

    /** @param  bool  $signed  whether the catalogue of signatures that it names lies beside it */
    public static function ofSetup(
        SetupInformation $setup,
        string $id,
        string $source,
        string $setupFile,
        bool $signed,
    ): self {
        return new self(
            $id,
            $source,
            $setupFile,
            self::line($setup->provider, $setupFile),
            $setup->version,
            $setup->date,
            array_map(
                static fn (SetupClaim $claim): OfferedClaim => new OfferedClaim(
                    $claim->identifier->text(),
                    $claim->architecture,
                    $claim->fromBuild,
                    $claim->compatible,
                    $claim->excluded,
                ),
                $setup->claims,
            ),
            signed: $signed,
        );
    }

    public function isLocked(): bool
    {
        return $this->models !== [];
    }
}
