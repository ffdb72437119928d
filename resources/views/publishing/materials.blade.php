{{-- What students of a section need, and adding to it. section; materials: MaterialRow[]; sessions: days by id --}}
@props(['section', 'materials', 'sessions'])
<x-card :title="__('publishing.materials.title')">
    <p class="quiet small">{{ __('publishing.materials.hint') }}</p>
    <ul class="places">
        @forelse ($materials as $one)
            <li><b><a href="{{ $one->address }}" rel="noopener noreferrer">{{ $one->title }}</a></b>
                <span class="quiet">{{ $one->day }}</span>
                <x-act :to="route('materials.destroy', [$section, $one->id])" method="delete" class="btn-plain py-0"
                    :do="__('publishing.materials.remove')" :about="$one->title" />
            </li>
        @empty
            <li class="quiet">{{ __('publishing.materials.none') }}</li>
        @endforelse
    </ul>
    <details @if ($errors->hasAny(['material_title', 'material_address', 'material_file', 'material_session'])) open @endif>
        <summary>{{ __('publishing.materials.add') }}…</summary>
        <form class="mt-1" method="post" action="{{ route('materials.store', $section) }}" enctype="multipart/form-data">@csrf
            <label class="form-label" for="material-title">{{ __('publishing.materials.name') }}</label>
            <input class="form-control mb-1" id="material-title" name="material_title" value="{{ old('material_title') }}">
            <label class="form-label" for="material-address">{{ __('publishing.materials.address') }}</label>
            <input class="form-control mb-1" id="material-address" name="material_address" value="{{ old('material_address') }}">
            <label class="form-label"
                for="material-file">{{ __('publishing.materials.file', ['n' => config('nomada.material_megabytes')]) }}</label>
            <input class="form-control mb-1" type="file" id="material-file" name="material_file">
            <label class="form-label" for="material-session">{{ __('publishing.materials.of') }}</label>
            <select class="form-select mb-2" id="material-session" name="material_session">
                <option value="">{{ __('publishing.materials.all') }}</option>
                @foreach ($sessions as $id => $day)
                    <option value="{{ $id }}" @selected(old('material_session') === (string) $id)>{{ $day }}</option>
                @endforeach
            </select>
            @foreach (['material_title', 'material_address', 'material_file', 'material_session'] as $field)
                @error($field)
                    <div class="invalid" role="alert">{{ $message }}</div>
                @enderror
            @endforeach
            <button class="btn btn-side">{{ __('publishing.materials.add') }}</button>
        </form>
    </details>
</x-card>
