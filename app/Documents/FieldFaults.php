<?php

namespace App\Documents;

use Closure;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Catalogue\UnknownEntry;
use Cobblestone\Runbook\OrderImpossible;
use DomainException;
use Illuminate\Validation\ValidationException;
use InvalidArgumentException;

/** Turns the core's named errors into messages beside the fields of a form they are about. */
final class FieldFaults
{
    /**
     * @template T
     *
     * @param  Closure(): T  $work
     * @param  array<string, string>  $fields  start of a brief's path => field of the form
     * @param  string  $otherwise  the field for what none of them is about
     * @return T
     *
     * @throws ValidationException
     */
    public static function asMessages(Closure $work, array $fields, string $otherwise): mixed
    {
        try {
            return $work();
        } catch (DocumentFault $e) {
            $messages = [];
            foreach ($e->faults as $fault) {
                $fault = (string) preg_replace('/^This job: /', '', $fault);
                $messages[self::field($fault, $fields, $otherwise)][] = $fault;
            }
            throw ValidationException::withMessages($messages);
        } catch (BriefFault|UnknownEntry $e) {
            throw ValidationException::withMessages([
                self::field($e->field, $fields, $otherwise) => $e->getMessage(),
            ]);
        } catch (OrderImpossible|DomainException|InvalidArgumentException $e) {
            throw ValidationException::withMessages([$otherwise => $e->getMessage()]);
        }
    }

    /** @param  array<string, string>  $fields */
    private static function field(string $path, array $fields, string $otherwise): string
    {
        foreach ($fields as $start => $field) {
            if (str_starts_with($path, $start)) {
                return $field;
            }
        }

        return $otherwise;
    }
}
