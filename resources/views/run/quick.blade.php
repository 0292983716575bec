@error('before_clock')
<p class="wrong" role="alert">{{ $message }}</p>
<label class="quick">
<input type="checkbox" name="before_clock" value="1" autofocus> Yes, it was done before
</label>
@enderror
