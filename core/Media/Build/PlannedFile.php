<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build;

/** One file of the stick: where it goes and where its bytes come from. */
final readonly class PlannedFile
{
    /**
     * @param  string  $source  path in the image, or below the folder of drivers
     * @param  int  $at  first byte within the source; above zero for the later parts of a split file
     * @param  string  $from  image, drivers or answers
     * @param  int  $of  bytes of the whole source
     * @param  string|null  $text  the file itself, where it is one of answers
     */
    public function __construct(
        public string $path,
        public int $bytes,
        public string $source,
        public int $at,
        public string $from,
        public int $of,
        public ?string $text = null,
    ) {
    }

    public function isPart(): bool
    {
        return $this->bytes !== $this->of;
    }

    /** @param  array<string, mixed>  $data */
    public static function fromArray(array $data, int $index): self
    {
        $file = new self(
            PlanFields::path($data, "files[{$index}].path"),
            PlanFields::whole($data, "files[{$index}].bytes"),
            PlanFields::path($data, "files[{$index}].source"),
            PlanFields::whole($data, "files[{$index}].at"),
            (string) PlanFields::oneOf($data, "files[{$index}].from", ['image', 'drivers', 'answers']),
            PlanFields::whole($data, "files[{$index}].of"),
            self::readText($data, $index),
        );

        return $file->at + $file->bytes <= $file->of
            ? $file
            : throw PlanFault::at("files[{$index}]", 'the part reaches past the end of its source.');
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'path' => $this->path,
            'bytes' => $this->bytes,
            'source' => $this->source,
            'at' => $this->at,
            'from' => $this->from,
            'of' => $this->of,
            ...$this->text === null ? [] : ['text' => $this->text],
        ];
    }

    /**
     * @param  array<string, mixed>  $data
     *
     * @throws PlanFault where a file of answers is not the text it says it is
     */
    private static function readText(array $data, int $index): ?string
    {
        if (($data['from'] ?? null) !== 'answers') {
            return null;
        }
        $text = $data['text'] ?? null;

        return is_string($text) && strlen($text) === ($data['bytes'] ?? null) && strlen($text) <= AnswerText::LONGEST
            ? $text
            : throw PlanFault::at("files[{$index}].text", 'the answers are not as long as the plan says.');
    }
}
