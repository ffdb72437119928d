<?php

// Moving several sessions, or their series, in one step.
return [
    'title' => 'Mover varias sesiones',
    'sum' => '{0} nada elegido todavía|{1} :count sesión|[2,*] :count sesiones, guardadas en un solo paso',
    'none' => 'Nada que mover todavía',
    'none_hint' => 'Escribe abajo el código de un grupo. Su próxima sesión se añade a la lista.',
    'series' => 'Grupo',
    'now' => 'Ahora',
    'to' => 'Nueva hora',
    'reach' => 'Aplicar a',
    'effect' => 'Resultado',
    'day_of' => 'Nuevo día de :name',
    'remove' => 'Quitar',
    'remove_this' => 'Quitar :name de la lista',
    'code' => 'Código del grupo',
    'code_like' => '8MAR',
    'add' => 'Añadir a la lista',
    'preview' => 'Vista previa',
    'do' => 'Mover :count sesión|Mover las :count en un solo paso',
    'swap' => 'Intercambiar con :name…',
    'others' => 'Mover otras sesiones en el mismo paso…',
    'both' => 'Mover las dos…',
    'clashes' => [
        'before' => '{0} Conflictos ahora|{1} Conflictos ahora: 1|[2,*] Conflictos ahora: :count',
        'after' => '{0} Conflictos después|{1} Conflictos después: 1|[2,*] Conflictos después: :count',
        'none' => 'Ninguno en estos grupos.',
    ],
];
