@php
    use Nomada\Core\Joining\StraightIn;
    $who = fn($name) => old($name, $floor->who($name)->value);
    $on = fn($name, $is) => old('opens_before') === null ? $is : (bool) old($name);
@endphp
<div class="door-form">
    <fieldset>
        <legend>Door</legend>
        <div class="inline mb-2"><label for="opens_before">opens</label><input class="form-control n" id="opens_before" name="opens_before"
                inputmode="numeric" value="{{ old('opens_before', $door->opensBefore) }}"><label for="opens_before_hosts">min before, for
                hosts</label><input class="form-control n" id="opens_before_hosts" name="opens_before_hosts" inputmode="numeric"
                value="{{ old('opens_before_hosts', $door->opensBeforeHosts) }}"><span>min</span></div>
        <label class="form-label" for="straight_in">Straight in go</label><select class="form-select mb-2" id="straight_in"
            name="straight_in">
            @foreach (StraightIn::cases() as $s)
                <option value="{{ $s->value }}" @selected(old('straight_in', $door->straightIn->value) === $s->value)>{{ $s->words(
                    ) }}</option>
            @endforeach
        </select>
        @foreach (['needs_host' => ['only once a teacher is inside', $door->needsHost], 'others_wait' => [
            'the others wait outside (else they are turned away)', $door->othersWait], 'one_device' => [
            'one device a person: the second takes over', $door->oneDevice], 'hidden_outside' => [
            'the link is hidden outside the door\'s hours', $door->hiddenOutside]] as $name => [$label, $is])
            <label class="d-block mb-1"><input type="hidden" name="{{ $name }}" value="0"><input class="form-check-input"
                    type="checkbox" name="{{ $name }}" value="1" @checked($on($name, $is))> {{ $label }}</label>
        @endforeach
    </fieldset>
    <fieldset>
        <legend>Floor</legend>
        @foreach (['speak' => 'Speak', 'camera' => 'Camera', 'chat' => 'Chat', 'screen' => 'Show a screen', 'draw' => 'Draw', 'record' =>
            'Record'] as $name => $label)
            <div class="floor-row"><label for="f-{{ $name }}">{{ $label }}</label><select class="form-select w-auto"
                    id="f-{{ $name }}" name="{{ $name }}">
                    @foreach ($name === 'record' ? ['host' => 'the host', 'nobody' => 'nobody'] : ['everyone' => 'everyone', 'host' =>
                        'host, or given the floor', 'nobody' => 'the host only'] as $value => $words)
                        <option value="{{ $value }}" @selected($who($name) === $value)>{{ $words }}</option>
                    @endforeach
                </select></div>
        @endforeach
        <label class="d-block mb-1"><input type="hidden" name="muted_on_entry" value="0"><input class="form-check-input"
                type="checkbox" name="muted_on_entry" value="1" @checked($on('muted_on_entry',
                    $floor->mutedOnEntry))> microphones are off when students come
            in</label>
        <div class="inline"><label for="speakers">at most</label><input class="form-control n" id="speakers" name="speakers"
                inputmode="numeric" value="{{ old('speakers', $floor->speakers) }}"><label for="cameras">microphones and</label><input
                class="form-control n" id="cameras" name="cameras" inputmode="numeric"
                value="{{ old('cameras', $floor->cameras) }}"><span>cameras at one time</span></div>
    </fieldset>
</div>
@foreach (['preset_name', 'opens_before', 'opens_before_hosts', 'straight_in', 'speak', 'camera', 'chat', 'screen', 'draw', 'record',
    'speakers', 'cameras'] as $f)
    @error($f)
        <div class="invalid" role="alert">{{ $message }}</div>
    @enderror
@endforeach
