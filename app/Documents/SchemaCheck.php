<?php

namespace App\Documents;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Validator;

/** Holds a document against a JSON Schema and says each fault with its path in words. */
final class SchemaCheck
{
    /** @var array<string, array{Validator, object}> by file: read and worked out once by a process */
    private static array $schemas = [];

    /**
     * @param  array<mixed>|object  $document  an array from YAML, or objects from JSON
     * @return list<string> "path: reason", empty where the schema accepts it
     */
    public static function faults(array|object $document, string $schemaFile): array
    {
        [$validator, $schema] = self::$schemas[$schemaFile] ??= self::schema($schemaFile);
        $result = $validator->validate(self::asJson($document), $schema);
        $error = $result->error();
        if ($error === null) {
            return [];
        }
        $faults = [];
        (new ErrorFormatter())->format($error, true, function (ValidationError $error) use (&$faults): string {
            $path = implode('.', array_map(strval(...), $error->data()->fullPath()));
            $reason = self::reason($error);
            if ($reason !== null) {
                $faults[] = ($path === '' ? 'document' : $path).': '.$reason;
            }

            return '';
        });

        return array_slice(array_values(array_unique($faults)), 0, 20);
    }

    /** @return array{Validator, object} */
    private static function schema(string $file): array
    {
        $schema = json_decode((string) file_get_contents($file), flags: JSON_THROW_ON_ERROR);

        return [new Validator(max_errors: 20, stop_at_first_error: false), (object) $schema];
    }

    /**
     * YAML's arrays do not say whether an empty one was a list or a block: an empty one counts as not given.
     *
     * @param  array<mixed>|object  $document
     */
    private static function asJson(array|object $document): mixed
    {
        return is_object($document)
            ? $document
            : json_decode((string) json_encode(self::withoutEmpty($document), JSON_PRESERVE_ZERO_FRACTION));
    }

    /**
     * @param  array<mixed>  $document
     * @return array<mixed>
     */
    private static function withoutEmpty(array $document): array
    {
        $kept = array_filter($document, static fn (mixed $value): bool => $value !== []);

        return array_map(
            static fn (mixed $value): mixed => is_array($value) ? self::withoutEmpty($value) : $value,
            $kept,
        );
    }

    /** Fields that failed for another reason are listed here too; only those the schema does not name are unknown. */
    private static function unknownFields(ValidationError $error): ?string
    {
        $schema = $error->schema()->info()->data();
        $known = is_object($schema) ? array_keys((array) ($schema->properties ?? [])) : [];
        $unknown = array_diff((array) ($error->args()['properties'] ?? []), $known);

        return $unknown === [] ? null : 'there is no such field here: '.implode(', ', $unknown).'.';
    }

    private static function reason(ValidationError $error): ?string
    {
        $list = static fn (mixed $values): string => implode(
            ', ',
            array_map(
                static fn (mixed $value): string => is_string($value) ? $value : (string) json_encode($value),
                (array) $values,
            ),
        );
        $args = $error->args();

        return match ($error->keyword()) {
            'required' => 'missing: '.$list($args['missing'] ?? []).'.',
            'additionalProperties' => self::unknownFields($error),
            'type' => 'must be '.
                $list($args['expected'] ?? '').
                ', is '.
                ($args['type'] ?? 'something else').
                '.',
            'enum' => 'must be one of the allowed words'.
                (isset($error->schema()->info()->data()->enum)
                    ? ': '.$list($error->schema()->info()->data()->enum)
                    : '').
                '.',
            'const' => 'must be '.json_encode($args['const'] ?? null).'.',
            'pattern' => 'is not written as it must be.',
            'minimum', 'exclusiveMinimum' => 'must be larger; at least '.json_encode($args['min'] ?? 0).'.',
            'maximum' => 'must be at most '.json_encode($args['max'] ?? 0).'.',
            'minLength' => 'must not be empty.',
            'maxLength' => 'is too long.',
            'minItems' => 'has too few entries.',
            'maxItems', 'maxProperties' => 'has too many entries.',
            'properties', 'items', 'oneOf', 'then', 'if', 'propertyNames' => $error->subErrors() === []
                ? 'is not accepted.'
                : null,
            default => $error->message(),
        };
    }
}
