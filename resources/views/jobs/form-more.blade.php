<details class="more" @if ($errors->hasAny(['update_processor', 'update_on_stick', 'card_id', 'card_leads', 'existing_date', 'existing_samples']) || ($brief['policy'] ?? []) !== [] || isset($backup['existing'])) open @endif><summary>What is there already, power, and departures from the policy</summary>
@foreach (\App\View\IntakeFields::of($brief) as $group => $fields)
<h3>{{ $group }}</h3><div class="row g-3">
@foreach ($fields as $field)
<div class="col-6 col-md-3"><label class="form-label" for="{{ $field->id() }}">{{ $field->label }}</label>
@if ($field->options !== [])<select id="{{ $field->id() }}" name="{{ $field->name }}" class="form-select">@foreach ($field->options as $option => $words)<option value="{{ $option }}" @selected($field->value === (string) $option)>{{ $words }}</option>@endforeach</select>
@else<input id="{{ $field->id() }}" name="{{ $field->name }}" type="{{ $field->type === 'date' ? 'date' : 'text' }}" @if ($field->type === 'number') inputmode="numeric" @endif class="form-control" maxlength="{{ $field->type === 'number' ? 20 : 400 }}" value="{{ $field->value }}">@endif
@include('parts.error', ['field' => $field->fault()])</div>
@endforeach
</div>
@endforeach
@if (($said = \App\View\BriefWords::said($brief)) !== [])<p class="fine mt-2"><b>Said in the brief</b>, and kept: {{ implode(' · ', $said) }}</p>@endif
</details>
