<fieldset>
<legend>@words($question->text)</legend>
@if ($question->isReading())
<textarea name="lsblk" class="form-control mono" rows="3" spellcheck="false" aria-label="Output of lsblk">{{
    old('lsblk')
}}</textarea>
@include('parts.error', ['field' => 'lsblk'])
<div class="row g-2 mt-1">
<div class="col-sm-6">
<input name="facts[target.serial]" class="form-control mono" placeholder="or: serial as printed"
 aria-label="Serial of the drive" value="{{ old('facts')['target.serial'] ?? '' }}">
</div>
<div class="col-sm-6">
<input name="facts[target.bytes]" class="form-control mono" placeholder="and exact bytes"
 aria-label="Bytes of the drive" value="{{ old('facts')['target.bytes'] ?? '' }}">
</div>
</div>
@elseif ($question->options !== [])
<div class="choices">
@foreach ($question->options as $value => $words)
<label>
<input type="radio" name="facts[{{ $question->fact }}]" value="{{ $value }}"
 @checked((old('facts')[$question->fact] ?? '') === (string) $value)> {{ $words }}
</label>
@endforeach
</div>
@else
<input name="facts[{{ $question->fact }}]" class="form-control mono" aria-label="Answer"
 value="{{ old('facts')[$question->fact] ?? '' }}">
@endif
<p class="fine">
Decides {{ $question->decides }}. <span class="rule">{{ $question->rule }}</span>
{{ \App\View\QuestionWords::shuts($question) }}
</p>
</fieldset>
