<?php

declare(strict_types=1);

namespace Cobblestone\Media\Inspection;

use Cobblestone\Catalogue\Image;

/** An image that nobody has described, as a brief tells of it once it was looked into (rules M2, U4). */
final readonly class InspectedImage
{
    /** @param  string|null  $sha256  as read here; null while nobody has */
    public function __construct(private ImageReport $report, private ?string $sha256)
    {
    }

    /** @return array<string, mixed> the image block of a brief; what the inspection could not tell is left out */
    public function described(): array
    {
        $largest = $this->report->files['largest'] ?? null;
        $files = $this->report->files;
        $kind = $this->kind();

        return array_filter([
            'name' => $this->report->name,
            'bytes' => $this->report->bytes,
            'kind' => $kind,
            'expanded_bytes' => $kind === 'raw-compressed' ? $this->report->expanded() : null,
            'sha256' => $this->sha256,
            'architecture' => $this->architecture(),
            'files' => $files === null || $largest === null || $files['count'] < 1 || $files['bytes'] < 1 ? null : [
                'count' => $files['count'],
                'directories' => $files['directories'],
                'bytes' => $files['bytes'],
                'largest' => [...$largest, 'parts' => null],
            ],
            'loader' => $this->loader($kind === 'optical' ? 'copied' : 'raw'),
        ], static fn (mixed $value): bool => $value !== null);
    }

    /** What a brief calls it; null where it is none of these, and has to be asked. */
    private function kind(): ?string
    {
        $kind = match (true) {
            $this->report->compression !== null => 'raw-compressed',
            $this->report->kind === 'fat' => 'raw',
            default => $this->report->kind,
        };

        return in_array($kind, Image::KINDS, true) ? $kind : null;
    }

    private function architecture(): ?string
    {
        $all = array_values(array_unique([
            ...$this->report->architectures('raw'), ...$this->report->architectures('copied'),
        ]));

        return count($all) === 1 && in_array($all[0], ['x86-64', 'x86-32', 'arm-64'], true) ? $all[0] : null;
    }

    /** @return array<string, mixed>|null null where nothing is known of how it starts */
    private function loader(string $way): ?array
    {
        $found = $this->report->loadersWhen($way);
        $legacy = $this->report->legacy[$way];
        if ($this->report->compression !== null || ($found === [] && $legacy !== true)) {
            return null;
        }
        $trust = array_map(
            static fn (array $one): ?LoaderTrust => LoaderTrust::tryFrom((string) $one['trust']),
            $found,
        );
        $signed = match (true) {
            $found === [], in_array(null, $trust, true), in_array(LoaderTrust::CannotTell, $trust, true) => null,
            // What is altered, revoked, or loads something unsigned does not start while signatures are enforced.
            default => array_filter($trust, static fn (?LoaderTrust $one): bool => ! in_array($one, [
                LoaderTrust::Trusted, LoaderTrust::SignerNotEnrolled,
            ], true)) === [],
        };

        return ['signed' => $signed, 'legacy' => $legacy === true, 'uefi' => $found !== []];
    }
}
