{{-- Changing one room. room: DropInRow --}}
<details class="row-more">
    <summary class="btn btn-side">{{ __('joining.drop_ins.more') }}<span class="visually-hidden">
            {{ __('joining.drop_ins.more_for', ['name' => $room->name]) }}</span></summary>
    <div class="card-s">
        <form method="post" action="{{ route('drop-ins.update', $room->id) }}">@csrf
            @method('put')
            <label class="form-label" for="name-{{ $room->id }}">{{ __('joining.drop_ins.name') }}</label>
            <input class="form-control mb-2" id="name-{{ $room->id }}" name="name" maxlength="80" value="{{ $room->name }}">
            <label class="form-label" for="hours-{{ $room->id }}">{{ __('joining.drop_ins.open') }}</label>
            <input class="form-control mb-2" id="hours-{{ $room->id }}" name="hours" maxlength="300" value="{{ $room->hours }}">
            <label class="form-label" for="preset-{{ $room->id }}">{{ __('joining.preset') }}</label>
            <select class="form-select mb-2" id="preset-{{ $room->id }}" name="preset">
                @foreach ($page->presets as $preset)
                    <option value="{{ $preset->key }}" @selected($preset->key === $room->preset->key)>{{ Say::put($preset->name) }}</option>
                @endforeach
            </select>
            <p class="quiet">{{ Say::this($room->preset->sentence()) }}</p>
            <button class="btn btn-main">{{ __('joining.save') }}<span class="visually-hidden"> {{ $room->name }}</span></button>
        </form>
        <div class="inline mt-3">
            <x-act :to="route('drop-ins.replace', $room->id)" class="btn-wrong" :do="__('joining.drop_ins.replace')"
                :about="__('joining.drop_ins.replace_of', ['name' => $room->name])" />
            <x-act :to="route('drop-ins.destroy', $room->id)" method="delete" class="btn-wrong" :do="__('joining.drop_ins.take_out')"
                :about="$room->name" />
        </div>
    </div>
</details>
