{{-- Door and floor. form: DoorForm --}}
@props(['form'])
<div class="door-form">
    <fieldset>
        <legend>{{ __('joining.door.title') }}</legend>
        <div class="inline mb-2">
            <label for="opens_before">{{ __('joining.door.opens') }}</label>
            <input class="form-control n" id="opens_before" name="opens_before" inputmode="numeric" value="{{ $form->opensBefore }}">
            <label for="opens_before_hosts">{{ __('joining.door.hosts') }}</label>
            <input class="form-control n" id="opens_before_hosts" name="opens_before_hosts" inputmode="numeric"
                value="{{ $form->opensBeforeHosts }}">
            <span>{{ __('joining.door.minutes') }}</span>
        </div>
        <label class="form-label" for="straight_in">{{ __('joining.door.straight_in') }}</label>
        <select class="form-select mb-2" id="straight_in" name="straight_in">
            @foreach ($form->straightIns() as $value => $words)
                <option value="{{ $value }}" @selected($form->straightIn === $value)>{{ $words }}</option>
            @endforeach
        </select>
        @foreach ($form->ticks as $field => $is)
            <label class="d-block mb-1"><input type="hidden" name="{{ $field }}" value="0"><input class="form-check-input"
                    type="checkbox" name="{{ $field }}" value="1" @checked($is)>
                {{ __("joining.door.ticks.$field") }}</label>
        @endforeach
    </fieldset>
    <fieldset>
        <legend>{{ __('joining.floor.title') }}</legend>
        @foreach ($form->rights as $field => $who)
            <div class="floor-row"><label for="f-{{ $field }}">{{ __("joining.floor.rights.$field") }}</label>
                <select class="form-select w-auto" id="f-{{ $field }}" name="{{ $field }}">
                    @foreach (__($field === 'record' ? 'joining.floor.who_records' : 'joining.floor.who') as $value => $words)
                        <option value="{{ $value }}" @selected($who === $value)>{{ $words }}</option>
                    @endforeach
                </select>
            </div>
        @endforeach
        <label class="d-block mb-1"><input type="hidden" name="muted_on_entry" value="0"><input class="form-check-input"
                type="checkbox" name="muted_on_entry" value="1" @checked($form->isMutedOnEntry)> {{ __('joining.floor.muted') }}</label>
        <div class="inline">
            <label for="speakers">{{ __('joining.floor.at_most') }}</label>
            <input class="form-control n" id="speakers" name="speakers" inputmode="numeric" value="{{ $form->speakers }}">
            <label for="cameras">{{ __('joining.floor.microphones') }}</label>
            <input class="form-control n" id="cameras" name="cameras" inputmode="numeric" value="{{ $form->cameras }}">
            <span>{{ __('joining.floor.cameras') }}</span>
        </div>
    </fieldset>
</div>
<x-faults :of="['preset_name', 'opens_before', 'opens_before_hosts', 'straight_in', ...array_keys($form->rights), 'speakers', 'cameras']" />
