using System.Globalization;
using Cabida.Web.Serving;

CultureInfo.DefaultThreadCurrentCulture = CultureInfo.InvariantCulture;
return await CabidaHost.Run(args);
